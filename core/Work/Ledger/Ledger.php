<?php

declare(strict_types=1);

namespace Metrum\Work\Ledger;

use Metrum\Circuit\ChargePurpose;

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

    /**
     * @param  list<Movement>  $movements  oldest first
     * @param  ?float  $full  kg of the full charge: by the plate, else what was charged first; null where nobody knows
     */
    private function __construct(public array $movements, public ?float $full)
    {
    }

    /** @param  list<Movement>  $movements  in any order; each of them once, whatever comes twice */
    public static function of(array $movements, ?float $full): self
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

        return new self($all, $full ?? $first);
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

        return self::of(array_values(array_filter($this->movements, $isThen)), $this->full);
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

    /** @return list<array{\DateTimeImmutable, float}> when how much (kg) was found to have leaked */
    public function losses(): array
    {
        $losses = [];
        foreach ($this->lostBy() as $i => $lost) {
            if ($lost > 1e-9) {
                $losses[] = [$this->movements[$i]->at, $lost];
            }
        }

        return $losses;
    }

    /** @return list<float> kg that each movement made good */
    private function lostBy(): array
    {
        $all = [];
        $outForRepair = 0.0;
        foreach ($this->movements as $one) {
            $lost = 0.0;
            if ($one->purpose === ChargePurpose::Leak && $one->isIn()) {
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

    /**
     * Leak rate by the last loss alone: added ÷ full charge × 365 ÷ days since the one before, at most 365 of them;
     * 365 where there was none. Share a year; null where nothing leaked or the full charge is not known.
     */
    public function annualised(): ?float
    {
        $losses = $this->losses();
        $last = end($losses);
        if ($last === false || $this->full === null || $this->full <= 0.0) {
            return null;
        }
        $before = $losses[count($losses) - 2] ?? null;
        $days = $before === null
            ? self::YEAR
            : max(1.0, min(self::YEAR, ($last[0]->getTimestamp() - $before[0]->getTimestamp()) / self::DAY));

        return (($last[1] / $this->full) * self::YEAR) / $days;
    }

    /** Leak rate over the twelve months until a day: all losses ÷ full charge; null as above. */
    public function rolling(\DateTimeInterface $until): ?float
    {
        if ($this->full === null || $this->full <= 0.0) {
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
