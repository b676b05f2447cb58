<?php

declare(strict_types=1);

namespace Metrum\Card\Sums;

/** The straight line through points with the least squares left. */
final readonly class Line
{
    /**
     * @param  float  $slope  of y by x
     * @param  float  $start  y where x is 0
     */
    private function __construct(public float $slope, public float $start)
    {
    }

    /**
     * @param  non-empty-list<float>  $xs  not all the same
     * @param  non-empty-list<float>  $ys  as many
     */
    public static function through(array $xs, array $ys): self
    {
        $middle = array_sum($xs) / count($xs);
        $mean = array_sum($ys) / count($ys);
        $with = $square = 0.0;
        foreach ($xs as $i => $x) {
            $with += ($x - $middle) * ($ys[$i] - $mean);
            $square += ($x - $middle) ** 2;
        }
        $slope = $with / $square;

        return new self($slope, $mean - $slope * $middle);
    }
}
