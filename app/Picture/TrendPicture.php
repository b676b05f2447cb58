<?php

namespace App\Picture;

use Metrum\Findings\Slope;
use Metrum\Findings\Trend;
use Metrum\Findings\TrendMoves;
use Metrum\Quantity\Units;

/** One reading as a controller wrote it down, with what was done as notches and how it went before and after each. */
final readonly class TrendPicture
{
    public const WIDTH = 760.0;

    public const HEIGHT = 190.0;

    public const LEFT = 66.0;

    public const RIGHT = 732.0;

    public const TOP = 24.0;

    public const BOTTOM = 160.0;

    /** Pieces of its width of which the lowest and highest value are drawn. */
    private const PIECES = 340;

    private const LEVELS = 4;

    /** Ticks at most, and s between two of them. */
    private const TICKS = 8;

    private const SPANS = [300.0, 900.0, 1800.0, 3600.0, 7200.0, 14400.0, 43200.0, 86400.0];

    public string $path;

    /** @var list<array{float, string}> */
    public array $levels;

    /** @var list<array{float, string}> */
    public array $times;

    /** @var list<array{x: float, text: string}> what was done */
    public array $notches;

    /** @var list<string> lines before and after it, as paths */
    public array $slopes;

    private Plot $plot;

    public function __construct(private Trend $trend, TrendMoves $moves, private Units $units)
    {
        $values = array_column($trend->points, 1);
        $room = max(1e-9, 0.08 * (max($values) - min($values)), 0.002 * abs(max($values)));
        $x = Axis::of(self::LEFT, self::RIGHT, $trend->begins(), max($trend->begins() + 60.0, $trend->ends()));
        $y = Axis::of(self::BOTTOM, self::TOP, min($values) - $room, max($values) + $room);
        $this->plot = new Plot($x, $y);
        $this->path = $this->plot->path($this->drawn());
        $kind = $trend->reading->quantity();
        $levels = $times = [];
        for ($i = 0; $i <= self::LEVELS; $i++) {
            $value = $y->value($i / self::LEVELS);
            $levels[] = [round($y->at($value), 1), $this->units->number($value, $kind)];
        }
        foreach ($x->rounds($this->tick()) as $at) {
            $times[] = [round($x->at($at), 1), date('H:i', (int) $at)];
        }
        $this->levels = $levels;
        $this->times = $times;
        $notches = $slopes = [];
        foreach ($moves->all as ['fact' => $fact, 'before' => $before, 'after' => $after]) {
            $notches[] = [
                'x' => round($x->at((float) $fact->seenAt()->getTimestamp()), 1),
                'text' => $fact->seenAt()->format('H:i'),
            ];
            $slopes = [...$slopes, ...array_map($this->line(...), array_filter([$before, $after]))];
        }
        $this->notches = $notches;
        $this->slopes = $slopes;
    }

    /** s between two ticks, so that they are few and at round times. */
    private function tick(): float
    {
        $span = $this->trend->ends() - $this->trend->begins();
        foreach (self::SPANS as $one) {
            if ($span / $one <= self::TICKS) {
                return $one;
            }
        }

        return 86400.0 * ceil($span / 86400.0 / self::TICKS);
    }

    private function line(Slope $slope): string
    {
        return $this->plot->path([[$slope->from, $slope->begin], [$slope->to, $slope->end]]);
    }

    /** @return list<array{float, float}> of many samples the lowest and the highest of each piece */
    private function drawn(): array
    {
        $points = $this->trend->points;
        if (count($points) <= 2 * self::PIECES) {
            return $points;
        }
        $drawn = [];
        foreach (array_chunk($points, max(1, (int) ceil(count($points) / self::PIECES))) as $piece) {
            usort($piece, static fn (array $a, array $b): int => $a[1] <=> $b[1]);
            $ends = [$piece[0], $piece[count($piece) - 1]];
            usort($ends, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
            $drawn = [...$drawn, ...$ends];
        }

        return $drawn;
    }

    public function unit(): string
    {
        return $this->units->symbol($this->trend->reading->quantity());
    }

    /** "Suction header from 06:00 to 14:00, 2.6 to 3.1 bar" */
    public function summary(): string
    {
        $values = array_column($this->trend->points, 1);
        $kind = $this->trend->reading->quantity();

        return $this->trend->reading->label().' from '.date('H:i', (int) $this->trend->begins()).' to '.
            date('H:i', (int) $this->trend->ends()).', '.$this->units->number(min($values), $kind).' to '.
            $this->units->text(max($values), $kind);
    }
}
