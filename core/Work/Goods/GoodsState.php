<?php

declare(strict_types=1);

namespace Metrum\Work\Goods;

use Metrum\Findings\Mark;
use Metrum\Knowledge\Goods;
use Metrum\Knowledge\HouseRule;
use Metrum\Knowledge\HouseRules;
use Metrum\Log\Log;

/** The goods in a box at a visit: each kind with its hours, and whether somebody decided what becomes of them. */
final readonly class GoodsState
{
    /** @param  list<GoodsRow>  $rows */
    private function __construct(public GoodsTrack $track, public array $rows)
    {
    }

    public static function of(Log $log, HouseRules $rules, \DateTimeImmutable $now): self
    {
        $track = GoodsTrack::of($log, $now);
        $allowed = $rules->band(HouseRule::GoodsHours);
        $rows = array_map(
            static function (Goods $one) use ($track, $rules, $allowed): GoodsRow {
                $limit = $rules->band($one->rule());

                return new GoodsRow($one, $limit, GoodsHours::of($track, $limit->low, $limit->high), $allowed);
            },
            $track->kept,
        );

        return new self($track, $rows);
    }

    public function mark(): Mark
    {
        $marks = array_map(static fn (GoodsRow $one): Mark => $one->mark(), $this->rows);

        return match (true) {
            in_array(Mark::Act, $marks, true) => Mark::Act,
            in_array(Mark::Look, $marks, true) => Mark::Look,
            default => Mark::Fine,
        };
    }

    /** Goods are out of their limits, and nobody said what becomes of them. */
    public function isUndecided(): bool
    {
        return $this->mark() !== Mark::Fine && ! $this->track->isDecided;
    }

    /** @return list<GoodsRow> those that are, or were, out of their limits */
    public function out(): array
    {
        return array_values(array_filter($this->rows, static fn (GoodsRow $one): bool => $one->mark() !== Mark::Fine));
    }
}
