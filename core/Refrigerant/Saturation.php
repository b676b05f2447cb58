<?php

declare(strict_types=1);

namespace Metrum\Refrigerant;

use Metrum\Quantity\Celsius;

/**
 * The saturation table of one refrigerant: one row a kelvin, read by cubics. All SI.
 *
 * @phpstan-type Parts array{
 *   lowest: float, highest: float, last: int, bubble: list<float>, dew: list<float>, bubble_buckets: list<int>,
 *   dew_buckets: list<int>, ends: list<float>, columns: list<list<float>>
 * }
 */
final class Saturation
{
    public const LIQUID_DENSITY = 0;

    public const VAPOUR_DENSITY = 1;

    public const LIQUID_ENTHALPY = 2;

    public const VAPOUR_ENTHALPY = 3;

    public const LIQUID_ENTROPY = 4;

    public const VAPOUR_ENTROPY = 5;

    private const BUCKETS = 512;

    public readonly float $lowest;

    public readonly float $highest;

    private int $last;

    /** @var list<float> */
    private array $bubble;

    /** @var list<float> */
    private array $dew;

    /** @var list<int> */
    private array $bubbleBuckets;

    /** @var list<int> */
    private array $dewBuckets;

    /**
     * Logarithms of the ends and buckets per unit of logarithm: bubble low, high, scale, dew low, high, scale.
     *
     * @var list<float>
     */
    private array $ends;

    /** @var list<list<float>> raw rows, column by column, for the cubics made when first asked for */
    private array $columns;

    /** @var array<int, list<float>> */
    private array $cubics = [];

    /** @param  Parts  $parts */
    public function __construct(private readonly string $name, array $parts)
    {
        $this->lowest = $parts['lowest'];
        $this->highest = $parts['highest'];
        $this->last = $parts['last'];
        $this->bubble = $parts['bubble'];
        $this->dew = $parts['dew'];
        $this->bubbleBuckets = $parts['bubble_buckets'];
        $this->dewBuckets = $parts['dew_buckets'];
        $this->ends = $parts['ends'];
        $this->columns = $parts['columns'];
    }

    /**
     * What the table is read by, made of its rows once.
     *
     * @param  list<list<float>>  $rows  the CSV rows: °C, kPa abs (2), kg/m³ (2), kJ/kg (2), kJ/(kg K) (2), …
     * @return Parts
     */
    public static function parts(array $rows): array
    {
        $last = count($rows) - 1;
        $bubble = array_map(static fn (array $row): float => log($row[1] * 1e3), $rows);
        $dew = array_map(static fn (array $row): float => log($row[2] * 1e3), $rows);

        return [
            'lowest' => $rows[0][0] + Celsius::ZERO,
            'highest' => $rows[$last][0] + Celsius::ZERO,
            'last' => $last,
            'bubble' => Cubic::coefficients($bubble),
            'dew' => Cubic::coefficients($dew),
            'bubble_buckets' => self::buckets($bubble),
            'dew_buckets' => self::buckets($dew),
            'ends' => [
                $bubble[0],
                $bubble[$last],
                self::BUCKETS / ($bubble[$last] - $bubble[0]),
                $dew[0],
                $dew[$last],
                self::BUCKETS / ($dew[$last] - $dew[0]),
            ],
            'columns' => array_map(static fn (int $column): array => array_column($rows, $column), [
                3,
                4,
                5,
                6,
                7,
                8,
            ]),
        ];
    }

    /** Pressure (Pa abs) of saturated liquid at $t (K). @throws OutsideTable */
    public function bubblePressure(float $t): float
    {
        $x = $t - $this->lowest;
        $i = (int) $x;
        if ($x < 0.0 || $i >= $this->last) {
            if ($x < 0.0 || $x > $this->last) {
                throw OutsideTable::temperature($this->name, $t, $this->lowest, $this->highest);
            }
            $i = $this->last - 1;
        }
        $x -= $i;
        $k = $i << 2;

        return exp(
            (($this->bubble[$k + 3] * $x + $this->bubble[$k + 2]) * $x + $this->bubble[$k + 1]) * $x +
                $this->bubble[$k],
        );
    }

    /** Pressure (Pa abs) of saturated vapour at $t (K). @throws OutsideTable */
    public function dewPressure(float $t): float
    {
        $x = $t - $this->lowest;
        $i = (int) $x;
        if ($x < 0.0 || $i >= $this->last) {
            if ($x < 0.0 || $x > $this->last) {
                throw OutsideTable::temperature($this->name, $t, $this->lowest, $this->highest);
            }
            $i = $this->last - 1;
        }
        $x -= $i;
        $k = $i << 2;

        return exp(
            (($this->dew[$k + 3] * $x + $this->dew[$k + 2]) * $x + $this->dew[$k + 1]) * $x + $this->dew[$k],
        );
    }

    /** The highest pressure (Pa abs) of the table, that of liquid where it ends. */
    public function highestPressure(): float
    {
        return exp($this->ends[1]);
    }

    /** Temperature (K) at which saturated liquid has the pressure $p (Pa abs). @throws OutsideTable */
    public function bubbleTemperature(float $p): float
    {
        return $this->temperature($p, $this->bubble, $this->bubbleBuckets, 0);
    }

    /** Temperature (K) at which saturated vapour has the pressure $p (Pa abs). @throws OutsideTable */
    public function dewTemperature(float $p): float
    {
        return $this->temperature($p, $this->dew, $this->dewBuckets, 3);
    }

    /**
     * One column at $t (K), SI: the constants of this class name it.
     *
     * @throws OutsideTable
     */
    public function at(int $column, float $t): float
    {
        $x = $t - $this->lowest;
        if ($x < 0.0 || $x > $this->last) {
            throw OutsideTable::temperature($this->name, $t, $this->lowest, $this->highest);
        }
        $i = (int) $x;
        if ($i === $this->last) {
            $i--;
        }
        $x -= $i;
        $k = $i << 2;
        $c = $this->cubics[$column] ??= Cubic::coefficients(self::smooth($column, $this->columns[$column]));
        $y = (($c[$k + 3] * $x + $c[$k + 2]) * $x + $c[$k + 1]) * $x + $c[$k];

        return match ($column) {
            self::VAPOUR_DENSITY => exp($y),
            self::LIQUID_DENSITY => $y,
            default => $y * 1e3,
        };
    }

    /**
     * @param  list<float>  $cubic
     * @param  list<int>  $buckets
     */
    private function temperature(float $p, array &$cubic, array &$buckets, int $end): float
    {
        $y = $p > 0.0 ? log($p) : -INF;
        $low = $this->ends[$end];
        if ($y < $low || $y > $this->ends[$end + 1]) {
            if ($y < $low - 1e-9 || $y > $this->ends[$end + 1] + 1e-9) {
                throw OutsideTable::pressure($this->name, $p, exp($low), exp($this->ends[$end + 1]));
            }
            $y = max($low, min($this->ends[$end + 1], $y));
        }
        $i = $buckets[(int) (($y - $low) * $this->ends[$end + 2])];
        $last = $this->last - 1;
        while ($i < $last && $cubic[($i + 1) << 2] <= $y) {
            $i++;
        }
        $k = $i << 2;
        $a = $cubic[$k] - $y;
        $b = $cubic[$k + 1];
        $c = $cubic[$k + 2];
        $d = $cubic[$k + 3];
        // ln p is nearly straight over one kelvin: two Newton steps leave less than 1e-9 K.
        $x = -$a / $b;
        $x -= ((($d * $x + $c) * $x + $b) * $x + $a) / ((3 * $d * $x + 2 * $c) * $x + $b);
        $x -= ((($d * $x + $c) * $x + $b) * $x + $a) / ((3 * $d * $x + 2 * $c) * $x + $b);

        return $this->lowest + $i + $x;
    }

    /**
     * For equal steps of ln p, the row at which the search may start.
     *
     * @param  list<float>  $y  rising
     * @return list<int>
     */
    private static function buckets(array $y): array
    {
        $last = count($y) - 1;
        $buckets = [];
        $row = 0;
        for ($bucket = 0; $bucket <= self::BUCKETS; $bucket++) {
            $from = $y[0] + (($y[$last] - $y[0]) * $bucket) / self::BUCKETS;
            while ($row < $last - 1 && $y[$row + 1] <= $from) {
                $row++;
            }
            $buckets[] = $row;
        }

        return $buckets;
    }

    /**
     * @param  list<float>  $values
     * @return list<float> the density of vapour as its logarithm, which is nearly straight
     */
    private static function smooth(int $column, array $values): array
    {
        return $column === self::VAPOUR_DENSITY ? array_map(log(...), $values) : $values;
    }
}
