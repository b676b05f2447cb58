<?php

declare(strict_types=1);

namespace Metrum\Refrigerant;

/** Four-point (cubic Lagrange) interpolation on a uniform grid, kept as polynomial coefficients per interval. */
final class Cubic
{
    /**
     * Coefficients c0…c3 of y(x) = c0 + c1·x + c2·x² + c3·x³ for 0 ≤ x ≤ 1 in each interval, four floats an interval.
     *
     * @param  list<float>  $y  at least four values, one grid step apart
     * @return list<float>
     */
    public static function coefficients(array $y): array
    {
        $n = count($y);
        $all = [];
        for ($i = 0; $i < $n - 1; $i++) {
            $start = max(0, min($n - 4, $i - 1));
            $shift = $i - $start;
            [$a, $b, $c, $d] = [$y[$start], $y[$start + 1], $y[$start + 2], $y[$start + 3]];
            // Polynomial in u = position from the stencil's first point, by Newton's forward differences.
            $d1 = $b - $a;
            $d2 = ($c - 2 * $b + $a) / 2;
            $d3 = ($d - 3 * $c + 3 * $b - $a) / 6;
            $p = [$a, $d1 - $d2 + 2 * $d3, $d2 - 3 * $d3, $d3];
            array_push(
                $all,
                $p[0] + $p[1] * $shift + $p[2] * $shift ** 2 + $p[3] * $shift ** 3,
                $p[1] + 2 * $p[2] * $shift + 3 * $p[3] * $shift ** 2,
                $p[2] + 3 * $p[3] * $shift,
                $p[3],
            );
        }

        return $all;
    }
}
