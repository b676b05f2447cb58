<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Findings\Chapter;
use Metrum\Installation\Circuit;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\HouseRule;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Log;
use Metrum\Quantity\QuantityKind;

/** Whether what was read after a move was read once the plant had come to rest. */
final class Settling
{
    /** Share of a pressure that a kelvin of saturation is about, by which two readings may differ and be the same. */
    private const SHARE_A_KELVIN = 0.033;

    /** Pa below which a share of a pressure means nothing. */
    private const LEAST_PRESSURE = 1e4;

    /** Seconds that refrigerant takes to come round a walk-in or through a receiver, and round a rack, at least. */
    private const WALK_IN = 1200.0;

    private const RACK = 3600.0;

    /** Share of the charge that is much at once, and by how much longer that takes. */
    private const MUCH = 0.2;

    private const LONGER = 0.5;

    /** @var array<string, float> seconds that a plant is given, by the move */
    private array $times = [];

    public function __construct(private readonly Log $log, private readonly HouseRules $rules)
    {
    }

    /** Seconds that the plant is given after a move: its clock, else the house rule's least. */
    public function time(Fact $move): float
    {
        return $this->times[$move->id] ??= $this->worked($move);
    }

    private function worked(Fact $move): float
    {
        $clock = $this->clock($move);
        if ($clock !== null) {
            return $clock->content->value ?? 0.0;
        }
        $rule = Control::from($move->content->key)->row()->settles;

        return $rule === null ? 0.0 : $this->rules->band($rule)->low;
    }

    /** Seconds to set a clock to; of refrigerant see ofCharge. */
    public function usual(Control $control): float
    {
        $rule = $control->row()->settles;

        return $rule === null ? 0.0 : $this->rules->band($rule)->middle();
    }

    /**
     * Seconds until a plant has answered refrigerant (N-08; knowledge.md §2): a small unit has sent it round within the
     * house rule's time, a walk-in or a receiver takes at least twice as long, a rack an hour; and a large part of the
     * charge half as long again.
     *
     * @param  float  $kilograms  that went in, or came out below 0
     * @param  ?float  $charge  kg that are right; null where nobody knows
     */
    public function ofCharge(Circuit $circuit, float $kilograms, ?float $charge): float
    {
        $band = $this->rules->band(HouseRule::SettleCharge);
        $base = match (true) {
            $circuit->isShared() => max(self::RACK, $band->high),
            $circuit->hasReceiver(), $circuit->kind?->isSmall() === false => max(self::WALK_IN, $band->high),
            default => $band->low,
        };
        $share = $charge === null || $charge <= 0.0 ? self::MUCH : abs($kilograms) / $charge;

        return $base * (1 + self::LONGER * min(1.0, $share / self::MUCH));
    }

    /** The clock that was set for a move: the last one set before anything else was moved. */
    private function clock(Fact $move): ?Fact
    {
        $after = false;
        $clock = null;
        foreach ($this->log->happened() as $fact) {
            if ($fact->id === $move->id) {
                $after = true;
            } elseif ($after && $fact->kind === FactKind::Move) {
                break;
            } elseif ($after && $fact->kind === FactKind::Clock && ! $fact->content->isCleared()) {
                $clock = $fact;
            }
        }

        return $clock;
    }

    /**
     * Seconds that a plant still needs after the move with which a chapter began; 0 where it has settled, or two equal
     * readings said so.
     *
     * @param  \DateTimeInterface  $now  a moment after it
     */
    public function left(Chapter $chapter, \DateTimeInterface $now): float
    {
        if ($chapter->began === null) {
            return 0.0;
        }
        $left = $chapter->began->takenAt->getTimestamp() + $this->time($chapter->began) - $now->getTimestamp();

        return $left <= 0.0 || $this->hasAgreed($chapter) ? 0.0 : $left;
    }

    /** Whether anything was read twice since the move, and the same. */
    private function hasAgreed(Chapter $chapter): bool
    {
        $taken = [];
        foreach ($chapter->found as $fact) {
            $isReading = $fact->kind === FactKind::Reading && $fact->takenAt >= $chapter->began?->takenAt;
            if ($isReading && $fact->content->value !== null) {
                $taken[$fact->part.' '.$fact->content->key][] = $fact;
            }
        }

        return array_filter($taken, $this->stands(...)) !== [];
    }

    /** Whether any of these was read early in a chapter, and not again when it had settled. */
    public function isEarly(Chapter $chapter, Reading ...$needed): bool
    {
        $taken = [];
        foreach ($chapter->found as $fact) {
            $taken[$fact->content->key][] = $fact;
        }

        return $chapter->began !== null && $this->isAnyEarly($chapter->began, $taken, $needed);
    }

    /**
     * How many of the facts found in a chapter had been told when each of these had been read settled for the first
     * time; null where that did not happen.
     */
    public function toldWhenSettled(Chapter $chapter, Reading ...$needed): ?int
    {
        $keys = array_map(static fn (Reading $one): string => $one->value, $needed);
        $read = array_map(static fn (Fact $fact): string => $fact->content->key, $chapter->found);
        $awaited = array_flip(array_intersect($keys, $read));
        $taken = [];
        foreach ($needed === [] ? [] : $chapter->found as $place => $fact) {
            $key = $fact->content->key;
            $taken[$key][] = $fact;
            unset($awaited[$key]);
            $isEarly = $chapter->began !== null && $this->isAnyEarly($chapter->began, $taken, $needed);
            if ($awaited === [] && ! $isEarly) {
                return $place + 1;
            }
        }

        return null;
    }

    /**
     * @param  array<string, non-empty-list<Fact>>  $taken  since a move and before, by key
     * @param  array<Reading>  $needed
     */
    private function isAnyEarly(Fact $move, array $taken, array $needed): bool
    {
        $due = $move->takenAt->getTimestamp() + $this->time($move);
        foreach ($needed as $reading) {
            $last = $taken[$reading->value] ?? [];
            $at = $last === [] ? null : end($last)->takenAt;
            // What the move left as it was is as settled as it was.
            $isSince = $at !== null && $at >= $move->takenAt;
            if ($isSince && $at->getTimestamp() < $due && ! $this->stands($last)) {
                return true;
            }
        }

        return false;
    }

    /** @param  list<Fact>  $taken  of one reading: whether the last two are equal */
    private function stands(array $taken): bool
    {
        $n = count($taken);
        if ($n < 2) {
            return false;
        }
        [$before, $last] = [(float) $taken[$n - 2]->content->value, (float) $taken[$n - 1]->content->value];
        $same = $this->rules->band(HouseRule::TwoAgree)->high;
        if (Reading::from($taken[0]->content->key)->quantity() === QuantityKind::GaugePressure) {
            $same *= self::SHARE_A_KELVIN * max(self::LEAST_PRESSURE, abs($last));
        }

        return $same > 0.0 && abs($last - $before) <= $same;
    }
}
