<?php

namespace App\Picture;

use Metrum\Quantity\Format;
use Metrum\Quantity\Unit;

/** Where a moment and a value stand in a strip, and the lines and times beside it. */
final readonly class StripScale
{
    public const TOP = 30.0;

    /** From where the line of a move is drawn. */
    public const NOTCH = self::TOP - 8.0;

    private const LEFT = 44.0;

    private const RIGHT = 16.0;

    private const FOOT = 40.0;

    private const LEVELS = 5;

    /** Width from which more times find room, and how many do. */
    private const WIDE = 600.0;

    private const TIMES = [4, 6];

    /** Between two lines, and minutes between two times. */
    private const STEPS = [0.5, 1, 2, 4, 5, 10, 20];

    private const MINUTES = [5, 10, 15, 20, 30, 60];

    private Plot $plot;

    /**
     * @param  array{int, int}  $span  first and last moment
     * @param  array{float, float}  $reach  lowest and highest value, SI
     */
    public function __construct(
        private float $width,
        private float $height,
        private array $span,
        private array $reach,
    ) {
        $this->plot = new Plot(
            Axis::of(self::LEFT, $this->right(), ...$span),
            Axis::of($this->bottom(), self::TOP, ...$reach),
        );
    }

    public function x(int $moment): float
    {
        return $this->plot->x->at($moment);
    }

    public function y(float $value): float
    {
        return $this->plot->y->at($value);
    }

    public function left(): float
    {
        return self::LEFT;
    }

    public function right(): float
    {
        return $this->width - self::RIGHT;
    }

    public function bottom(): float
    {
        return $this->height - self::FOOT;
    }

    public function breadth(): float
    {
        return $this->right() - self::LEFT;
    }

    public function depth(): float
    {
        return $this->bottom() - self::TOP;
    }

    /** @return list<array{y: float, text: string}> at round values of a unit */
    public function levels(Unit $unit): array
    {
        [$low, $high] = array_map($unit->fromSi(...), $this->reach);
        $step = self::round(($high - $low) / self::LEVELS, self::STEPS);
        $axis = Axis::of($this->bottom(), self::TOP, $low, $high);

        return array_map(
            static fn (float $value): array => ['y' => $axis->at($value), 'text' => Format::number($value, 1)],
            $axis->rounds($step),
        );
    }

    /** @return list<array{x: float, text: string}> at round times */
    public function hours(): array
    {
        [$from, $to] = $this->span;
        $most = self::TIMES[(int) ($this->width > self::WIDE)];
        $step = 60 * (int) self::round(($to - $from) / 60 / $most, self::MINUTES);
        $hours = [];
        for ($moment = $step * (int) ceil($from / $step); $moment < $to; $moment += $step) {
            $hours[] = ['x' => $this->x($moment), 'text' => date('H:i', $moment)];
        }

        return $hours;
    }

    /**
     * The first round number that is not below one; beyond them all as many of the last as are needed.
     *
     * @param  non-empty-list<int|float>  $rounds
     */
    private static function round(float $least, array $rounds): float
    {
        foreach ($rounds as $round) {
            if ($round >= $least) {
                return $round;
            }
        }
        $last = $rounds[count($rounds) - 1];

        return $last * ceil($least / $last);
    }
}
