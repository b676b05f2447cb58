<?php

declare(strict_types=1);

namespace Metrum\Twin;

/** Linear systems of five unknowns. */
final class Elimination
{
    /**
     * Gauss's elimination with row exchange.
     *
     * @param  array<int, array<int, float>>  $rows  five rows of six
     * @return ?array{float, float, float, float, float}
     */
    public static function solved(array $rows): ?array
    {
        for ($column = 0; $column < 5; $column++) {
            $pivot = $column;
            for ($row = $column + 1; $row < 5; $row++) {
                if (abs($rows[$row][$column]) > abs($rows[$pivot][$column])) {
                    $pivot = $row;
                }
            }
            if (abs($rows[$pivot][$column]) < 1e-12) {
                // A direction that changes nothing (an empty receiver, a shut valve): leave that unknown where it is.
                $rows[$pivot][$column] = 1e-6;
            }
            [$rows[$column], $rows[$pivot]] = [$rows[$pivot], $rows[$column]];
            for ($row = $column + 1; $row < 5; $row++) {
                $factor = $rows[$row][$column] / $rows[$column][$column];
                for ($k = $column; $k < 6; $k++) {
                    $rows[$row][$k] -= $factor * $rows[$column][$k];
                }
            }
        }
        $x = [0.0, 0.0, 0.0, 0.0, 0.0];
        for ($row = 4; $row >= 0; $row--) {
            $sum = $rows[$row][5];
            for ($k = $row + 1; $k < 5; $k++) {
                $sum -= $rows[$row][$k] * $x[$k];
            }
            $x[$row] = $sum / $rows[$row][$row];
        }

        return is_finite($x[0] + $x[1] + $x[2] + $x[3] + $x[4]) ? $x : null;
    }

    /**
     * @param  array<int, array<int, float>>  $rows  five rows of five
     * @return ?array<int, array<int, float>>
     */
    public static function inverse(array $rows): ?array
    {
        $inverse = [[], [], [], [], []];
        for ($unit = 0; $unit < 5; $unit++) {
            $system = $rows;
            for ($row = 0; $row < 5; $row++) {
                $system[$row][5] = $row === $unit ? 1.0 : 0.0;
            }
            $column = self::solved($system);
            if ($column === null) {
                return null;
            }
            foreach ($column as $row => $value) {
                $inverse[$row][$unit] = $value;
            }
        }

        return $inverse;
    }
}
