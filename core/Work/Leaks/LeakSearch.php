<?php

declare(strict_types=1);

namespace Metrum\Work\Leaks;

use Metrum\Installation\Circuit;

/**
 * Where a leak may be, and how likely one is still there, by what was searched (Bayes over places).
 *
 * One leak at most is thought of: at one of the places, somewhere that is not on the list, or nowhere. A place that was
 * searched in vain keeps the share of its chance that the tool would have missed there, so that the others grow; a mark
 * or a word of the detector makes its place as many times likelier as leaks show it oftener than sound places do.
 */
final readonly class LeakSearch
{
    /** Share of leaks that are at none of the places. */
    private const ELSEWHERE = 0.06;

    /** How many times oftener a mark is seen where it leaks than where it does not. */
    private const MARKED = 9.0;

    /** A place without a mark is somewhat less likely once it was looked at. */
    private const UNMARKED = 0.75;

    /** How many times likelier a place is where one was found before. */
    private const FOUND_BEFORE = 2.5;

    /** Years by which a plant is old, and pressures (Pa gauge) below which a tool finds little, and as much as ever. */
    private const OLD = 10.0;

    private const NOTHING = 50e3;

    private const ENOUGH = 350e3;

    /** Share of its chance that a tool keeps where hardly any pressure is. */
    private const HARDLY = 0.1;

    /** @var array<string, float> chance that it is there, by place */
    public array $chances;

    /** Chance that it is nowhere, and that it is at none of the places. */
    public float $nowhere;

    public float $elsewhere;

    /** @var array<string, LeakPlace> */
    private array $places;

    /**
     * @param  array<string, SearchMark>  $searched  by place
     * @param  array<string, bool>  $marked  whether a mark was seen, by place that was looked at
     * @param  array<string, int>  $foundBefore  how often one was found there at earlier visits
     * @param  ?float  $years  age of the plant; null where nobody knows
     * @param  float  $leaks  chance that anything leaks, before the search
     * @param  ?float  $low  pressure of the low side, Pa gauge; null where it was not read
     * @param  ?float  $high  the same of the high side
     */
    public function __construct(
        Circuit $circuit,
        public array $searched = [],
        public array $marked = [],
        private array $foundBefore = [],
        private ?float $years = null,
        private float $leaks = 0.9,
        private Air $air = Air::Calm,
        private ?float $low = null,
        private ?float $high = null,
    ) {
        $places = [];
        foreach (LeakPlace::of($circuit) as $place) {
            $places[$place->key] = $place;
        }
        $this->places = $places;
        [$this->chances, $this->elsewhere, $this->nowhere] = $this->weighed();
    }

    /** @return array{array<string, float>, float, float} by place, elsewhere, nowhere */
    private function weighed(): array
    {
        $priors = array_map($this->prior(...), $this->places);
        $sum = array_sum($priors) / (1 - self::ELSEWHERE);
        $weights = [];
        foreach ($this->places as $key => $place) {
            $weights[$key] = (($this->leaks * $priors[$key]) / max(1e-9, $sum)) * $this->spoken($place);
        }
        $elsewhere = $this->leaks * self::ELSEWHERE;
        $nowhere = 1 - $this->leaks;
        if (in_array(SearchMark::Bubble, $this->searched, true)) {
            // A bubble is a leak: nothing else is asked any more.
            [$elsewhere, $nowhere] = [0.0, 0.0];
        }
        $all = max(1e-12, array_sum($weights) + $elsewhere + $nowhere);

        return [
            array_map(static fn (float $one): float => $one / $all, $weights),
            $elsewhere / $all,
            $nowhere / $all,
        ];
    }

    private function prior(LeakPlace $place): float
    {
        $age = $this->years === null ? 0.0 : min(1.0, $this->years / self::OLD) - 0.5;

        return $place->weight *
            $place->old ** (2 * $age) *
            self::FOUND_BEFORE ** min(2, $this->foundBefore[$place->key] ?? 0);
    }

    /** How much likelier a leak is there by what was seen and searched; 1 where nothing was. */
    private function spoken(LeakPlace $place): float
    {
        $mark = $this->marked[$place->key] ?? null;
        $speaks = $mark === null ? 1.0 : ($mark ? self::MARKED : self::UNMARKED);
        $searched = $this->searched[$place->key] ?? null;
        $found = in_array(SearchMark::Bubble, $this->searched, true);

        return match (true) {
            $searched === SearchMark::Bubble => 1.0,
            $found => 0.0,
            $searched === SearchMark::Smells => $speaks * ($this->detector($place) / $this->air->falseAlarm()),
            $searched?->isClear() === true => $speaks * (1 - $this->finds($place, $searched)),
            default => $speaks,
        };
    }

    /** Chance that a leak at a place would have been found so, 0 … 1. */
    public function finds(LeakPlace $place, SearchMark $how): float
    {
        $detector = $how->usesDetector() ? $this->detector($place) : 0.0;
        $bubbles = $how->usesBubbles() ? $this->bubbles($place) : 0.0;

        return 1 - (1 - $detector) * (1 - $bubbles);
    }

    private function detector(LeakPlace $place): float
    {
        return $place->detector * $this->air->detector() * $this->pushed($place);
    }

    private function bubbles(LeakPlace $place): float
    {
        return $place->bubbles * $this->air->bubbles() * $this->pushed($place);
    }

    /** Share of its chance that a tool keeps by the pressure behind a place (K-02). */
    private function pushed(LeakPlace $place): float
    {
        $known = array_filter(
            match ($place->side) {
                Side::Low => [$this->low],
                Side::High => [$this->high],
                Side::Both => [$this->low, $this->high],
            },
            static fn (?float $one): bool => $one !== null,
        );
        if ($known === []) {
            return 1.0;
        }
        $pressure = max($known);
        $share = ($pressure - self::NOTHING) / (self::ENOUGH - self::NOTHING);

        return max(self::HARDLY, min(1.0, $share));
    }

    /** Whether the low side has too little pressure for a search (K-02). */
    public function hasLittlePressure(): bool
    {
        return $this->low !== null && $this->low < self::ENOUGH / 2;
    }

    /** Chance that a leak is still there and not found, 0 … 1. */
    public function left(): float
    {
        return 1 - $this->nowhere;
    }

    /** @return list<LeakPlace> at which a bubble grew */
    public function found(): array
    {
        return array_values(
            array_filter(
                $this->places,
                fn (LeakPlace $one): bool => ($this->searched[$one->key] ?? null) === SearchMark::Bubble,
            ),
        );
    }

    /**
     * All places in the order in which they are searched: what is likeliest found for the time it takes, first.
     *
     * @return list<LeakPlace>
     */
    public function order(): array
    {
        $places = array_values($this->places);
        usort($places, fn (LeakPlace $a, LeakPlace $b): int => $this->worth($b) <=> $this->worth($a));

        return $places;
    }

    /** Chance of finding it at a place in a minute of searching with both tools; 0 where it cannot be reached. */
    private function worth(LeakPlace $place): float
    {
        $searched = $this->searched[$place->key] ?? null;
        if ($searched === SearchMark::NotReached || $searched === SearchMark::Bubble) {
            return 0.0;
        }
        $left = match ($searched) {
            SearchMark::ClearDetector => SearchMark::ClearBubbles,
            SearchMark::ClearBubbles => SearchMark::ClearDetector,
            default => SearchMark::ClearBoth,
        };

        return ($this->chances[$place->key] * $this->finds($place, $left)) / $place->minutes;
    }

    /** The place that is searched next; null where none is left. */
    public function next(): ?LeakPlace
    {
        foreach ($this->order() as $place) {
            if ($this->worth($place) > 0.0 && ($this->searched[$place->key] ?? null) !== SearchMark::ClearBoth) {
                return $place;
            }
        }

        return null;
    }
}
