<?php

declare(strict_types=1);

namespace Metrum\Plant;

use Metrum\Refrigerant\OutsideTable;

/**
 * Finds the loop's unknowns by Newton's method with bounded steps and a line search; from the design point, from warmer and
 * colder guesses where that fails, or from where it stood a moment ago.
 */
final class Solver
{
    private const TOLERANCE = 2e-6;

    /** Largest step of one iteration, by unknown. */
    private const STEP = [0.35, 0.25, 0.6, 2.0, 0.35];

    private const NUDGE = [1e-5, 1e-5, 1e-5, 1e-4, 1e-5];

    public int $walks = 0;

    /** @var array{float, float, float, float, float} */
    private array $low;

    /** @var array{float, float, float, float, float} */
    private array $high;

    /** @param  int  $budget  walks after which it gives up */
    public function __construct(
        private readonly Machine $machine,
        private readonly Loop $loop,
        private readonly int $budget = 400,
    ) {
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
            log($machine->fluid->dewPressure(max($coldest, 223.15))),
            log($machine->design->massFlow) - 5.0,
            $machine->fluid->liquidEnthalpy(max($coldest, 213.15)) / 1e4,
            -0.95,
        ];
        $this->high = [
            log($machine->fluid->dewPressure(min($hottest, 308.15))),
            log($machine->fluid->bubblePressure($hottest)),
            log($machine->design->massFlow) + 1.8,
            55.0,
            3.0,
        ];
    }

    /**
     * @param  ?array{float, float, float, float, float}  $start
     * @return ?array{float, float, float, float, float} null where no start led to a solution
     */
    public function solve(?array $start = null, ?float $opening = null): ?array
    {
        $design = Sizing::guess($this->machine);
        $starts = $start === null ? [] : [$start];
        foreach (
            [
                [0.0, 0.0, 0.0, 0.0],
                [-0.3, -0.1, -0.3, -0.1],
                [-0.7, -0.2, -0.9, -0.4],
                [0.3, 0.25, 0.3, 1.2],
                [-0.2, -0.4, -0.3, 0.0],
                [-1.1, -0.15, -1.6, -0.6],
            ] as [$e, $c, $m, $z]
        ) {
            $starts[] = [$design[0] + $e, $design[1] + $c, $design[2] + $m, $design[3], $design[4] + $z];
        }
        if ($this->machine->regulatorSetting !== null) {
            // Below its setting a regulator is all but shut and says nothing about where to go: begin at it, with less flow too.
            $held = log($this->machine->regulatorSetting);
            $starts = array_map(
                static fn (array $from): array => [max($from[0], $held), $from[1], $from[2], $from[3], $from[4]],
                $starts,
            );
            array_splice($starts, $start === null ? 1 : 2, 0, [
                [$held, $design[1], $design[2] - 0.5, $design[3], $design[4]],
                [$held - 0.01, $design[1], $design[2] - 1.2, $design[3], $design[4]],
            ]);
        }
        $this->walks = 0;
        foreach ($starts as $from) {
            if ($this->walks > $this->budget) {
                break;
            }
            $found = $this->newton($this->bounded($from), $opening);
            if ($found !== null) {
                return $found;
            }
        }

        return null;
    }

    /**
     * From where it stood, and from nowhere else.
     *
     * @param  array{float, float, float, float, float}  $start
     * @return ?array{float, float, float, float, float}
     */
    public function near(array $start): ?array
    {
        $this->walks = 0;

        return $this->newton($this->bounded($start), null);
    }

    /** @var ?array<int, array<int, float>> inverse of the last Jacobian, for following */
    private ?array $inverse = null;

    /**
     * Follows a solution that moves a little from step to step: chord iterations with the Jacobian of some steps ago, made
     * anew where they no longer close in. Good to 1e-4.
     *
     * @param  array{float, float, float, float, float}  $x
     * @return ?array{float, float, float, float, float}
     */
    public function follow(array $x, ?float $opening): ?array
    {
        $misses = $this->misses($x, $opening);
        for ($round = 0; $round < 6 && $misses !== null; $round++) {
            $norm = self::norm($misses);
            if ($norm < 1e-4) {
                return $x;
            }
            $this->inverse ??= $this->inverted($x, $misses, $opening);
            if ($this->inverse === null) {
                break;
            }
            $next = $x;
            $share = 1.0;
            foreach ($this->inverse as $row => $line) {
                $step = -(
                    $line[0] * $misses[0] +
                    $line[1] * $misses[1] +
                    $line[2] * $misses[2] +
                    $line[3] * $misses[3] +
                    $line[4] * $misses[4]
                );
                $next[$row] = $step;
                $share = min($share, self::STEP[$row] / max(1e-12, abs($step)));
            }
            $next = $this->bounded([
                $x[0] + $share * $next[0],
                $x[1] + $share * $next[1],
                $x[2] + $share * $next[2],
                $x[3] + $share * $next[3],
                $x[4] + $share * $next[4],
            ]);
            $missed = $this->misses($next, $opening);
            if ($missed === null || self::norm($missed) > 0.6 * $norm) {
                $this->inverse = null;
                if ($missed === null || self::norm($missed) > $norm) {
                    continue;
                }
            }
            [$x, $misses] = [$next, $missed];
        }
        $this->inverse = null;

        return $this->newton($x, $opening);
    }

    /**
     * @param  array{float, float, float, float, float}  $x
     * @param  array{float, float, float, float, float}  $misses
     * @return ?array<int, array<int, float>>
     */
    private function inverted(array $x, array $misses, ?float $opening): ?array
    {
        $rows = $this->jacobian($x, $misses, $opening);

        return $rows === null ? null : Elimination::inverse($rows);
    }

    /**
     * @param  array{float, float, float, float, float}  $x
     * @return ?array{float, float, float, float, float}
     */
    private function newton(array $x, ?float $opening): ?array
    {
        $misses = $this->misses($x, $opening);
        if ($misses === null) {
            return null;
        }
        $norm = self::norm($misses);
        for ($round = 0; $round < 45 && $this->walks <= $this->budget; $round++) {
            if ($norm < self::TOLERANCE) {
                return $x;
            }
            $step = $this->step($x, $misses, $opening);
            if ($step === null) {
                return null;
            }
            $share = 1.0;
            foreach ($step as $i => $size) {
                $share = min($share, self::STEP[$i] / max(1e-12, abs($size)));
            }
            $best = null;
            for ($half = 0; $half < 6; $half++) {
                $trial = $this->bounded([
                    $x[0] + $share * $step[0],
                    $x[1] + $share * $step[1],
                    $x[2] + $share * $step[2],
                    $x[3] + $share * $step[3],
                    $x[4] + $share * $step[4],
                ]);
                $missed = $this->misses($trial, $opening);
                if ($missed !== null) {
                    $trialNorm = self::norm($missed);
                    if ($best === null || $trialNorm < $best[2]) {
                        $best = [$trial, $missed, $trialNorm];
                    }
                    if ($trialNorm < (1 - 0.1 * $share) * $norm) {
                        break;
                    }
                }
                $share *= 0.45;
            }
            if ($best === null) {
                return null;
            }
            if ($best[2] > 0.999 * $norm && $round > 25) {
                return null;
            }
            [$x, $misses, $norm] = $best;
        }

        return $norm < 50 * self::TOLERANCE ? $x : null;
    }

    /**
     * @param  array{float, float, float, float, float}  $x
     * @param  array{float, float, float, float, float}  $misses
     * @return ?array{float, float, float, float, float}
     */
    private function step(array $x, array $misses, ?float $opening): ?array
    {
        $rows = $this->jacobian($x, $misses, $opening);
        if ($rows === null) {
            return null;
        }
        for ($row = 0; $row < 5; $row++) {
            $rows[$row][5] = -$misses[$row];
        }

        return Elimination::solved($rows);
    }

    /**
     * Change of each miss with each unknown, by a small nudge.
     *
     * @param  array{float, float, float, float, float}  $x
     * @param  array{float, float, float, float, float}  $misses
     * @return ?array<int, array<int, float>>
     */
    private function jacobian(array $x, array $misses, ?float $opening): ?array
    {
        $rows = [[], [], [], [], []];
        foreach (self::NUDGE as $column => $nudge) {
            $there = $x;
            $there[$column] += $this->high[$column] < $there[$column] + $nudge ? -$nudge : $nudge;
            $moved = $this->misses($there, $opening);
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
    private function misses(array $x, ?float $opening): ?array
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
    private function bounded(array $x): array
    {
        foreach ($x as $i => $value) {
            $x[$i] = max($this->low[$i], min($this->high[$i], $value));
        }

        return $x;
    }

    /** @param  array{float, float, float, float, float}  $misses */
    private static function norm(array $misses): float
    {
        return sqrt($misses[0] ** 2 + $misses[1] ** 2 + $misses[2] ** 2 + $misses[3] ** 2 + $misses[4] ** 2);
    }
}
