<?php

declare(strict_types=1);

namespace Metrum\Refrigerant;

use Metrum\Quantity\Celsius;

/**
 * What a table of superheated vapour is read by, made of its rows once.
 *
 * @phpstan-type Parts array{
 *   lowest: float, step: float, rows: int, superheats: list<float>, grid: list<list<list<float>>>,
 *   under: list<array{float, float, float, float}>, buckets: list<int>
 * }
 */
final class VapourGrid
{
    /**
     * What the table is read by, made of its rows once.
     *
     * @param  list<list<float>>  $rows  the CSV rows: dew °C, superheat K, kPa, kg/m³, kJ/kg, kJ/(kg K)
     * @return Parts
     */
    public static function parts(array $rows): array
    {
        $grid = [[], [], []];
        foreach ($rows as $row) {
            $key = (string) $row[0];
            $grid[Vapour::DENSITY][$key][] = log($row[3]);
            $grid[Vapour::ENTHALPY][$key][] = $row[4];
            $grid[Vapour::ENTROPY][$key][] = $row[5];
        }
        $dews = array_map(floatval(...), array_keys($grid[0]));
        $across = count($grid[0][(string) $rows[0][0]]);
        $superheats = array_column(array_slice($rows, 0, $across), 1);

        return [
            'lowest' => $dews[0] + Celsius::ZERO,
            'step' => $dews[1] - $dews[0],
            'rows' => count($dews),
            'superheats' => $superheats,
            'under' => self::under($superheats),
            'buckets' => self::buckets($superheats),
            'grid' => array_map(array_values(...), $grid),
        ];
    }

    /**
     * What Lagrange's four products are divided by, for each first column of four.
     *
     * @param  list<float>  $x
     * @return list<array{float, float, float, float}>
     */
    private static function under(array $x): array
    {
        $under = [];
        for ($i = 0; $i + 3 < count($x); $i++) {
            [$x0, $x1, $x2, $x3] = array_slice($x, $i, 4);
            $under[] = [
                ($x0 - $x1) * ($x0 - $x2) * ($x0 - $x3),
                ($x1 - $x0) * ($x1 - $x2) * ($x1 - $x3),
                ($x2 - $x0) * ($x2 - $x1) * ($x2 - $x3),
                ($x3 - $x0) * ($x3 - $x1) * ($x3 - $x2),
            ];
        }

        return $under;
    }

    /**
     * For each whole kelvin of superheat, the column at which the search may start.
     *
     * @param  list<float>  $x
     * @return list<int>
     */
    private static function buckets(array $x): array
    {
        $buckets = [];
        $column = 0;
        for ($kelvin = 0; $kelvin <= Vapour::MOST_SUPERHEAT; $kelvin++) {
            while ($column < count($x) - 4 && $x[$column + 2] <= $kelvin) {
                $column++;
            }
            $buckets[] = $column;
        }

        return $buckets;
    }
}
