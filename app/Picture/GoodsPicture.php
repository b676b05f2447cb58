<?php

namespace App\Picture;

use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Work\Goods\GoodsRow;
use Metrum\Work\Goods\GoodsState;

/** Temperatures of goods over the visit, with the limit of each kind that stands there and when they were moved. */
final readonly class GoodsPicture
{
    public const WIDTH = 760.0;

    public const HEIGHT = 210.0;

    public const LEFT = 56.0;

    public const RIGHT = 600.0;

    public const TOP = 16.0;

    public const BOTTOM = 176.0;

    /** K above and below what is drawn. */
    private const ROOM = 1.0;

    private const APART = 13.0;

    public string $path;

    /** @var list<array{float, float}> */
    public array $dots;

    /** @var list<array{float, float, string}> height of each limit, height of its words, and these */
    public array $limits;

    /** @var list<array{float, string}> */
    public array $times;

    /** @var list<array{float, string}> */
    public array $levels;

    /** Where they were moved or discarded; null: they stand there. */
    public ?float $ended;

    /** Null where there were not two readings. */
    public static function of(GoodsState $state, Units $units): ?self
    {
        $points = $state->track->points;

        return count($points) < 2 ? null : new self($state, $points, $units);
    }

    /** @param  non-empty-list<array{float, float}>  $points */
    private function __construct(GoodsState $state, array $points, Units $units)
    {
        $track = $state->track;
        $values = array_column($points, 1);
        $highs = array_map(static fn (GoodsRow $one): float => $one->limit->high, $state->rows);
        $all = [...$values, ...$highs];
        $begins = $points[0][0];
        $plot = new Plot(
            Axis::of(self::LEFT, self::RIGHT, $begins, max($begins + 60.0, $track->now)),
            Axis::of(self::BOTTOM, self::TOP, min($all) - self::ROOM, max($all) + self::ROOM),
        );
        $this->path = $plot->path($points);
        $this->dots = array_map(
            static fn (array $one): array => [round($plot->x->at($one[0]), 1), round($plot->y->at($one[1]), 1)],
            $points,
        );
        $this->limits = self::limits($state->rows, $plot, $units);
        $this->times = array_map(
            static fn (float $at): array => [round($plot->x->at($at), 1), date('H:i', (int) $at)],
            [$begins, $track->now],
        );
        $this->levels = array_map(
            static fn (float $one): array => [
                round($plot->y->at($one), 1),
                $units->number($one, QuantityKind::Temperature),
            ],
            array_values(array_unique([min($values), max($values)])),
        );
        $this->ended = $track->ended === null ? null : round($plot->x->at($track->ended), 1);
    }

    /**
     * @param  list<GoodsRow>  $rows
     * @return list<array{float, float, string}>
     */
    private static function limits(array $rows, Plot $plot, Units $units): array
    {
        usort($rows, static fn (GoodsRow $a, GoodsRow $b): int => $b->limit->high <=> $a->limit->high);
        $limits = [];
        $above = -INF;
        foreach ($rows as $row) {
            $y = round($plot->y->at($row->limit->high), 1);
            $above = max($y, $above + self::APART);
            $high = $units->text($row->limit->high, QuantityKind::Temperature);
            $limits[] = [$y, $above, $row->goods->label().' '.$high];
        }

        return $limits;
    }
}
