<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Quantity\Celsius;
use Metrum\Refrigerant\OutsideTable;

/** How far guesses of the loop's unknowns miss, and how the misses change with them; within what can be. */
final class Misses
{
    /** By which each unknown is nudged for its slope. */
    private const NUDGE = [1e-5, 1e-5, 1e-5, 1e-4, 1e-5];

    /** Walks so far. */
    public int $walks = 0;

    /** @var array{float, float, float, float, float} */
    private array $low;

    /** @var array{float, float, float, float, float} */
    private array $high;

    public function __construct(Machine $machine, private readonly Loop $loop)
    {
        $saturation = $machine->fluid->saturation;
        $coldest = $saturation->lowest + 1.0;
        $hottest = $saturation->highest - 4.0;
        $this->low = [
            log(
                max(
                    $machine->fluid->dewPressure($coldest),
                    1.001 * $machine->fluid->bubblePressure($saturation->lowest),
                ),
            ),
            log($machine->fluid->dewPressure(max($coldest, Celsius::ZERO - 50.0))),
            log($machine->design->massFlow) - 5.0,
            $machine->fluid->liquidEnthalpy(max($coldest, Celsius::ZERO - 60.0)) / 1e4,
            -0.95,
        ];
        $this->high = [
            log($machine->fluid->dewPressure(min($hottest, Celsius::ZERO + 35.0))),
            log($machine->fluid->bubblePressure($hottest)),
            log($machine->design->massFlow) + 1.8,
            55.0,
            3.0,
        ];
    }

    /**
     * Change of each miss with each unknown, by a small nudge.
     *
     * @param  array{float, float, float, float, float}  $x
     * @param  array{float, float, float, float, float}  $misses
     * @return ?array<int, array<int, float>>
     */
    public function jacobian(array $x, array $misses, ?float $opening): ?array
    {
        $rows = [[], [], [], [], []];
        foreach (self::NUDGE as $column => $nudge) {
            $there = $x;
            $there[$column] += $this->high[$column] < $there[$column] + $nudge ? -$nudge : $nudge;
            $moved = $this->of($there, $opening);
            if ($moved === null) {
                return null;
            }
            $by = $there[$column] - $x[$column];
            for ($row = 0; $row < 5; $row++) {
                $rows[$row][$column] = ($moved[$row] - $misses[$row]) / $by;
            }
        }

        return $rows;
    }

    /**
     * @param  array{float, float, float, float, float}  $x
     * @return ?array{float, float, float, float, float}
     */
    public function of(array $x, ?float $opening): ?array
    {
        $this->walks++;
        try {
            $misses = $this->loop->walk($x, $opening);
        } catch (OutsideTable) {
            return null;
        }

        return is_finite($misses[0] + $misses[1] + $misses[2] + $misses[3] + $misses[4]) ? $misses : null;
    }

    /**
     * @param  array{float, float, float, float, float}  $x
     * @return array{float, float, float, float, float}
     */
    public function bounded(array $x): array
    {
        foreach ($x as $i => $value) {
            $x[$i] = max($this->low[$i], min($this->high[$i], $value));
        }

        return $x;
    }

    /** @param  array{float, float, float, float, float}  $misses */
    public static function norm(array $misses): float
    {
        return sqrt($misses[0] ** 2 + $misses[1] ** 2 + $misses[2] ** 2 + $misses[3] ** 2 + $misses[4] ** 2);
    }
}
