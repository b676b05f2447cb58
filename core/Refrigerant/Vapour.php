<?php

declare(strict_types=1);

namespace Metrum\Refrigerant;

/** Superheated vapour of one refrigerant on its grid of dew temperature by superheat; four points each way. All SI. */
final class Vapour
{
    public const DENSITY = 0;

    public const ENTHALPY = 1;

    public const ENTROPY = 2;

    private float $lowest;

    private float $step;

    /** @var list<float> */
    private array $superheats;

    /** @var list<list<list<float>>> [property][dew row][superheat column]: ln kg/m³, kJ/kg, kJ/(kg K) */
    private array $grid;

    private int $rows;

    /** @param  list<list<float>>  $rows  the CSV rows: dew °C, superheat K, kPa, kg/m³, kJ/kg, kJ/(kg K) */
    public function __construct(private readonly string $name, array $rows)
    {
        $grid = [[], [], []];
        foreach ($rows as $row) {
            $key = (string) $row[0];
            $grid[self::DENSITY][$key][] = log($row[3]);
            $grid[self::ENTHALPY][$key][] = $row[4];
            $grid[self::ENTROPY][$key][] = $row[5];
        }
        $dews = array_map(floatval(...), array_keys($grid[0]));
        $this->lowest = $dews[0] + 273.15;
        $this->step = $dews[1] - $dews[0];
        $this->rows = count($dews);
        $this->superheats = array_column(array_slice($rows, 0, count($grid[0][(string) $rows[0][0]])), 1);
        $this->grid = array_map(array_values(...), $grid);
    }

    /**
     * @param  float  $dew  K, within the table (and one grid step beyond its last row)
     * @param  float  $superheat  K, 0 … 120
     *
     * @throws OutsideTable
     */
    public function at(int $property, float $dew, float $superheat): float
    {
        if ($superheat < -1e-9 || $superheat > 120.0) {
            throw OutsideTable::superheat($this->name, $superheat);
        }
        [$row, $across] = $this->stencil($dew);
        $column = $this->column($superheat);
        $along = Cubic::weights(array_slice($this->superheats, $column, 4), $superheat);
        $y = 0.0;
        foreach ($across as $i => $weight) {
            $line = $this->grid[$property][$row + $i];
            $y +=
                $weight *
                ($along[0] * $line[$column] +
                    $along[1] * $line[$column + 1] +
                    $along[2] * $line[$column + 2] +
                    $along[3] * $line[$column + 3]);
        }

        return $property === self::DENSITY ? exp($y) : $y * 1e3;
    }

    /**
     * Density, enthalpy and entropy at once: one search in the grid for the three.
     *
     * @return array{float, float, float} kg/m³, J/kg, J/(kg K)
     *
     * @throws OutsideTable
     */
    public function state(float $dew, float $superheat): array
    {
        if ($superheat < -1e-9 || $superheat > 120.0) {
            throw OutsideTable::superheat($this->name, $superheat);
        }
        [$row, [$a, $b, $c, $d]] = $this->stencil($dew);
        $i = $this->column($superheat);
        [$x0, $x1, $x2, $x3] = [
            $this->superheats[$i],
            $this->superheats[$i + 1],
            $this->superheats[$i + 2],
            $this->superheats[$i + 3],
        ];
        [$d0, $d1, $d2, $d3] = [$superheat - $x0, $superheat - $x1, $superheat - $x2, $superheat - $x3];
        $w0 = ($d1 * $d2 * $d3) / (($x0 - $x1) * ($x0 - $x2) * ($x0 - $x3));
        $w1 = ($d0 * $d2 * $d3) / (($x1 - $x0) * ($x1 - $x2) * ($x1 - $x3));
        $w2 = ($d0 * $d1 * $d3) / (($x2 - $x0) * ($x2 - $x1) * ($x2 - $x3));
        $w3 = ($d0 * $d1 * $d2) / (($x3 - $x0) * ($x3 - $x1) * ($x3 - $x2));
        $y = [];
        foreach ($this->grid as $property => $grid) {
            [$p, $q, $r, $s] = [$grid[$row], $grid[$row + 1], $grid[$row + 2], $grid[$row + 3]];
            $y[$property] =
                $a * ($w0 * $p[$i] + $w1 * $p[$i + 1] + $w2 * $p[$i + 2] + $w3 * $p[$i + 3]) +
                $b * ($w0 * $q[$i] + $w1 * $q[$i + 1] + $w2 * $q[$i + 2] + $w3 * $q[$i + 3]) +
                $c * ($w0 * $r[$i] + $w1 * $r[$i + 1] + $w2 * $r[$i + 2] + $w3 * $r[$i + 3]) +
                $d * ($w0 * $s[$i] + $w1 * $s[$i + 1] + $w2 * $s[$i + 2] + $w3 * $s[$i + 3]);
        }

        return [exp($y[self::DENSITY]), $y[self::ENTHALPY] * 1e3, $y[self::ENTROPY] * 1e3];
    }

    /**
     * Superheat (K) at which vapour of this dew temperature (K) has the entropy $s (J/(kg K)); null where it is wet.
     *
     * @throws OutsideTable above 120 K
     */
    public function superheatOfEntropy(float $dew, float $s): ?float
    {
        if ($this->at(self::ENTROPY, $dew, 0.0) > $s) {
            return null;
        }
        $low = 0.0;
        $high = 120.0;
        if ($this->at(self::ENTROPY, $dew, $high) < $s) {
            throw OutsideTable::superheat($this->name, 121.0);
        }
        $guess = 60.0;
        for ($round = 0; $round < 60; $round++) {
            $miss = $this->at(self::ENTROPY, $dew, $guess) - $s;
            if (abs($miss) < 1e-4) {
                break;
            }
            $miss > 0 ? ($high = $guess) : ($low = $guess);
            $slope =
                ($this->at(self::ENTROPY, $dew, min(120.0, $guess + 0.5)) -
                    $this->at(self::ENTROPY, $dew, max(0.0, $guess - 0.5))) /
                (min(120.0, $guess + 0.5) - max(0.0, $guess - 0.5));
            $newton = $guess - $miss / $slope;
            $guess = $newton > $low && $newton < $high ? $newton : ($low + $high) / 2;
        }

        return $guess;
    }

    /** @return array{int, array{float, float, float, float}} first row of the stencil and its weights */
    private function stencil(float $dew): array
    {
        $x = ($dew - $this->lowest) / $this->step;
        if ($x < -1e-9 || $x > $this->rows) {
            throw OutsideTable::temperature(
                $this->name,
                $dew,
                $this->lowest,
                $this->lowest + $this->step * ($this->rows - 1),
            );
        }
        $row = max(0, min($this->rows - 4, (int) $x - 1));

        $x -= $row;
        $a = $x - 1.0;
        $b = $x - 2.0;
        $c = $x - 3.0;

        return [$row, [(-$a * $b * $c) / 6, ($x * $b * $c) / 2, (-$x * $a * $c) / 2, ($x * $a * $b) / 6]];
    }

    private function column(float $superheat): int
    {
        $column = 0;
        $last = count($this->superheats) - 4;
        while ($column < $last && $this->superheats[$column + 2] <= $superheat) {
            $column++;
        }

        return $column;
    }
}
