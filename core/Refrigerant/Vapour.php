<?php

declare(strict_types=1);

namespace Metrum\Refrigerant;

/**
 * Superheated vapour of one refrigerant on its grid of dew temperature by superheat; four points each way. All SI.
 *
 * @phpstan-import-type Parts from VapourGrid
 */
final class Vapour
{
    public const DENSITY = 0;

    public const ENTHALPY = 1;

    public const ENTROPY = 2;

    public const MOST_SUPERHEAT = 120;

    private float $lowest;

    private float $step;

    /** @var list<float> */
    private array $superheats;

    /** @var list<list<list<float>>> [property][dew row][superheat column]: ln kg/m³, kJ/kg, kJ/(kg K) */
    private array $grid;

    private int $rows;

    private int $lastColumn;

    /** @var list<array{float, float, float, float}> */
    private array $under;

    /** @var list<int> */
    private array $buckets;

    /** @param  Parts  $parts */
    public function __construct(private readonly string $name, array $parts)
    {
        $this->lowest = $parts['lowest'];
        $this->step = $parts['step'];
        $this->rows = $parts['rows'];
        $this->superheats = $parts['superheats'];
        $this->lastColumn = count($parts['superheats']) - 4;
        $this->under = $parts['under'];
        $this->buckets = $parts['buckets'];
        $this->grid = $parts['grid'];
    }

    /**
     * @param  float  $dew  K, within the table (and one grid step beyond its last row)
     * @param  float  $superheat  K, 0 … 120
     *
     * @throws OutsideTable
     */
    public function at(int $property, float $dew, float $superheat): float
    {
        if ($superheat < -1e-9 || $superheat > self::MOST_SUPERHEAT) {
            throw OutsideTable::superheat($this->name, $superheat);
        }
        $y = $this->along($this->lineAt($property, $dew), $superheat);

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
        if ($superheat < -1e-9 || $superheat > self::MOST_SUPERHEAT) {
            throw OutsideTable::superheat($this->name, $superheat);
        }
        [$row, [$a, $b, $c, $d]] = $this->stencil($dew);
        $i = $this->column($superheat);
        $x = $this->superheats;
        $d0 = $superheat - $x[$i];
        $d1 = $superheat - $x[$i + 1];
        $d2 = $superheat - $x[$i + 2];
        $d3 = $superheat - $x[$i + 3];
        [$under0, $under1, $under2, $under3] = $this->under[$i];
        $w0 = ($d1 * $d2 * $d3) / $under0;
        $w1 = ($d0 * $d2 * $d3) / $under1;
        $w2 = ($d0 * $d1 * $d3) / $under2;
        $w3 = ($d0 * $d1 * $d2) / $under3;
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
        return $this->superheatOf(self::ENTROPY, $dew, $s / 1e3, 1e-7);
    }

    /**
     * Superheat (K) at which vapour of this dew temperature (K) has the enthalpy $h (J/kg); null where it is wet.
     *
     * @throws OutsideTable above 120 K
     */
    public function superheatOfEnthalpy(float $dew, float $h): ?float
    {
        return $this->superheatOf(self::ENTHALPY, $dew, $h / 1e3, 1e-10);
    }

    /** By Newton's method within a bracket. @param  float  $enough  miss that may be left, in the table's unit */
    private function superheatOf(int $property, float $dew, float $wanted, float $enough): ?float
    {
        $line = $this->lineAt($property, $dew);
        if ($this->along($line, 0.0) > $wanted) {
            return null;
        }
        $low = 0.0;
        $high = (float) self::MOST_SUPERHEAT;
        if ($this->along($line, $high) < $wanted) {
            throw OutsideTable::superheat($this->name, self::MOST_SUPERHEAT + 1.0);
        }
        $guess = self::MOST_SUPERHEAT / 2;
        for ($round = 0; $round < 60; $round++) {
            $miss = $this->along($line, $guess) - $wanted;
            if (abs($miss) < $enough) {
                break;
            }
            $miss > 0 ? ($high = $guess) : ($low = $guess);
            $below = max(0.0, $guess - 0.5);
            $above = min(self::MOST_SUPERHEAT, $guess + 0.5);
            $slope = ($this->along($line, $above) - $this->along($line, $below)) / ($above - $below);
            $newton = $guess - $miss / $slope;
            $guess = $newton > $low && $newton < $high ? $newton : ($low + $high) / 2;
        }

        return $guess;
    }

    /**
     * One property over the superheats of the grid, at a dew temperature between its rows.
     *
     * @return list<float>
     */
    private function lineAt(int $property, float $dew): array
    {
        [$row, [$a, $b, $c, $d]] = $this->stencil($dew);
        $grid = $this->grid[$property];
        [$p, $q, $r, $s] = [$grid[$row], $grid[$row + 1], $grid[$row + 2], $grid[$row + 3]];
        $line = [];
        foreach ($p as $column => $value) {
            $line[] = $a * $value + $b * $q[$column] + $c * $r[$column] + $d * $s[$column];
        }

        return $line;
    }

    /** @param  list<float>  $line  a property over the superheats of the grid */
    private function along(array $line, float $superheat): float
    {
        $i = $this->column($superheat);
        $x = $this->superheats;
        $d0 = $superheat - $x[$i];
        $d1 = $superheat - $x[$i + 1];
        $d2 = $superheat - $x[$i + 2];
        $d3 = $superheat - $x[$i + 3];
        [$under0, $under1, $under2, $under3] = $this->under[$i];

        return ($line[$i] * $d1 * $d2 * $d3) / $under0 +
            ($line[$i + 1] * $d0 * $d2 * $d3) / $under1 +
            ($line[$i + 2] * $d0 * $d1 * $d3) / $under2 +
            ($line[$i + 3] * $d0 * $d1 * $d2) / $under3;
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
        $column = $this->buckets[(int) $superheat];
        $last = $this->lastColumn;
        while ($column < $last && $this->superheats[$column + 2] <= $superheat) {
            $column++;
        }

        return $column;
    }
}
