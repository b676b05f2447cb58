<?php

declare(strict_types=1);

namespace Metrum\Work\Ledger;

use Metrum\Knowledge\ChargePurpose;

/**
 * The refrigerant of a plant over the years: what went in and out, what is in by the book, and what leaks a year.
 *
 * Only what made good a loss counts as leaked, and of what was put back after a repair that which is more than was
 * taken out for it (knowledge.md §11): first charges, winter charges and corrections are no leaks.
 */
final readonly class Ledger
{
    private const DAY = 86400.0;

    private const YEAR = 365.0;

    /** Days of record below which nothing is said of a rate a year. */
    private const LEAST_RECORD = 30.0;

    /** Share of the full charge from which the first that ever went in is a first charge, whatever was said. */
    private const FIRST = 0.5;

    /**
     * @param  list<Movement>  $movements  oldest first
     * @param  ?float  $full  kg of the full charge: by the plate, else what was charged first; null where nobody knows
     */
    private function __construct(
        public array $movements,
        public ?float $full,
        private ?\DateTimeInterface $since,
    ) {
    }

    /**
     * @param  list<Movement>  $movements  in any order; each of them once, whatever comes twice
     * @param  ?\DateTimeInterface  $since  when the plant's record begins; null: with its first movement
     */
    public static function of(array $movements, ?float $full, ?\DateTimeInterface $since = null): self
    {
        $once = [];
        foreach ($movements as $one) {
            $once[$one->id] = $one;
        }
        $all = array_values($once);
        usort($all, static fn (Movement $a, Movement $b): int => [$a->at, $a->id] <=> [$b->at, $b->id]);
        $first = null;
        foreach ($all as $one) {
            $first ??= $one->purpose === ChargePurpose::Commissioning && $one->isIn() ? $one->kilograms : null;
        }

        return new self($all, $full ?? $first, $since ?? $all[0]->at ?? null);
    }

    /** kg that went in. */
    public function added(): float
    {
        return array_sum(array_map(static fn (Movement $one): float => max(0.0, $one->kilograms), $this->movements));
    }

    /** kg that came out and were kept. */
    public function recovered(): float
    {
        return array_sum(array_map(static fn (Movement $one): float => max(0.0, -$one->kilograms), $this->movements));
    }

    /** What was moved on the day of the last movement. */
    public function lastDay(): self
    {
        $last = $this->movements[count($this->movements) - 1] ?? null;
        $day = $last?->at->format('Y-m-d');
        $isThen = static fn (Movement $one): bool => $one->at->format('Y-m-d') === $day;

        return self::of(array_values(array_filter($this->movements, $isThen)), $this->full, $this->since);
    }

    /** @return array<string, float> kg that went in less what came out, by purpose */
    public function byPurpose(): array
    {
        $sums = [];
        foreach ($this->movements as $one) {
            $sums[$one->purpose->value] = ($sums[$one->purpose->value] ?? 0.0) + $one->kilograms;
        }

        return $sums;
    }

    /**
     * What is in the plant after each movement by the book: what leaked is made good by what was added for it, so that
     * only the rest changes it. kg; null before anybody knows a full charge.
     *
     * @return list<?float>
     */
    public function running(): array
    {
        $in = $this->hasFirstCharge() ? 0.0 : $this->full;
        $lost = $this->lostBy();
        $running = [];
        foreach ($this->movements as $i => $one) {
            $in = $in === null ? null : $in + $one->kilograms - $lost[$i];
            $running[] = $in;
        }

        return $running;
    }

    /** Whether it begins with what was weighed into an empty plant: only then a book knows what is in. */
    public function hasFirstCharge(): bool
    {
        foreach ($this->movements as $one) {
            if ($one->purpose === ChargePurpose::Commissioning && $one->isIn()) {
                return true;
            }
        }

        return false;
    }

    /** kg in the plant by the book; null where nobody knows. */
    public function now(): ?float
    {
        $running = $this->running();

        return $running === [] ? $this->full : $running[array_key_last($running)];
    }

    /** @return list<array{\DateTimeImmutable, float}> when how much (kg) was found leaked; a visit is one loss */
    public function losses(): array
    {
        $losses = [];
        foreach ($this->lostBy() as $i => $lost) {
            if ($lost > 1e-9) {
                $occasion = $this->movements[$i]->occasion();
                $before = $losses[$occasion][1] ?? 0.0;
                $losses[$occasion] = [$this->movements[$i]->at, $before + $lost];
            }
        }

        return array_values($losses);
    }

    /** @return list<float> kg that each movement made good */
    private function lostBy(): array
    {
        $all = [];
        $outForRepair = 0.0;
        foreach ($this->movements as $i => $one) {
            $lost = 0.0;
            if ($one->purpose === ChargePurpose::Leak && $one->isIn() && ! $this->isFirstCharge($i)) {
                $lost = $one->kilograms;
            } elseif ($one->purpose === ChargePurpose::Repair) {
                $outForRepair -= $one->kilograms;
                $lost = max(0.0, -$outForRepair);
                $outForRepair = max(0.0, $outForRepair);
            }
            $all[] = $lost;
        }

        return $all;
    }

    /** Whether it is the first that ever went in, and most of a charge: nothing leaked before there was anything. */
    private function isFirstCharge(int $place): bool
    {
        return $place === 0 &&
            $this->full !== null &&
            $this->movements[0]->kilograms >= self::FIRST * $this->full;
    }

    /** Whether the record reaches back far enough before a day to say anything of a year. */
    private function reachesBack(\DateTimeInterface $day): bool
    {
        return $this->since !== null && self::days($this->since, $day) >= self::LEAST_RECORD;
    }

    private static function days(\DateTimeInterface $from, \DateTimeInterface $to): float
    {
        return ($to->getTimestamp() - $from->getTimestamp()) / self::DAY;
    }

    /**
     * Leak rate by the last loss alone: added ÷ full charge × 365 ÷ days since the one before, at most 365 of them;
     * 365 where there was none. Losses less than 30 days apart count as one. Share a year; null where nothing leaked,
     * the full charge is not known, or there are less than 30 days of record.
     */
    public function annualised(): ?float
    {
        $losses = $this->losses();
        $last = array_pop($losses);
        if ($last === null || $this->full === null || $this->full <= 0.0 || ! $this->reachesBack($last[0])) {
            return null;
        }
        [$at, $lost] = $last;
        $days = self::YEAR;
        foreach (array_reverse($losses) as [$before, $earlier]) {
            if (self::days($before, $at) >= self::LEAST_RECORD) {
                $days = min(self::YEAR, self::days($before, $at));
                break;
            }
            $lost += $earlier;
        }

        return (($lost / $this->full) * self::YEAR) / $days;
    }

    /** Leak rate over the twelve months until a day: all losses ÷ full charge; null as above. */
    public function rolling(\DateTimeInterface $until): ?float
    {
        if ($this->full === null || $this->full <= 0.0 || ! $this->reachesBack($until)) {
            return null;
        }
        $since = $until->getTimestamp() - self::YEAR * self::DAY;
        $sum = 0.0;
        foreach ($this->losses() as [$at, $lost]) {
            $sum += $at->getTimestamp() > $since && $at->getTimestamp() <= $until->getTimestamp() ? $lost : 0.0;
        }

        return $sum / $this->full;
    }
}
