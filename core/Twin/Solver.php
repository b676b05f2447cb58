<?php

declare(strict_types=1);

namespace Metrum\Twin;

/**
 * Finds the loop's unknowns by Newton's method with bounded steps and a line search; from the design point, from
 * warmer and colder guesses where that fails, or from where it stood a moment ago.
 */
final class Solver
{
    private const TOLERANCE = 2e-6;

    /** Largest step of one iteration, by unknown. */
    private const STEP = [0.35, 0.25, 0.6, 2.0, 0.35];

    private readonly Misses $misses;

    /** @param  int  $budget  walks after which it gives up */
    public function __construct(
        private readonly Machine $machine,
        Loop $loop,
        private readonly int $budget = 240,
    ) {
        $this->misses = new Misses($machine, $loop);
    }

    /**
     * @param  ?array{float, float, float, float, float}  $start
     * @return ?array{float, float, float, float, float} null where no start led to a solution
     */
    public function solve(?array $start = null, ?float $opening = null): ?array
    {
        $this->misses->walks = 0;
        foreach (Starts::of($this->machine, $start) as $from) {
            if ($this->misses->walks > $this->budget) {
                break;
            }
            $found = $this->newton($this->misses->bounded($from), $opening);
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
        $this->misses->walks = 0;

        return $this->newton($this->misses->bounded($start), null);
    }

    /** @var ?array<int, array<int, float>> inverse of the last Jacobian, for following */
    private ?array $inverse = null;

    /**
     * Follows a solution that moves a little from step to step: chord iterations with the Jacobian of some steps ago,
     * made anew where they no longer close in.
     *
     * @param  array{float, float, float, float, float}  $x
     * @param  float  $good  miss with which it is found, dimensionless
     * @return ?array{float, float, float, float, float}
     */
    public function follow(array $x, ?float $opening, float $good = 1e-4): ?array
    {
        $misses = $this->misses->of($x, $opening);
        for ($round = 0; $round < 6 && $misses !== null; $round++) {
            $norm = Misses::norm($misses);
            if ($norm < $good) {
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
            $next = $this->misses->bounded([
                $x[0] + $share * $next[0],
                $x[1] + $share * $next[1],
                $x[2] + $share * $next[2],
                $x[3] + $share * $next[3],
                $x[4] + $share * $next[4],
            ]);
            $missed = $this->misses->of($next, $opening);
            if ($missed === null || Misses::norm($missed) > 0.6 * $norm) {
                $this->inverse = null;
                if ($missed === null || Misses::norm($missed) > $norm) {
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
        $rows = $this->misses->jacobian($x, $misses, $opening);

        return $rows === null ? null : Elimination::inverse($rows);
    }

    /**
     * @param  array{float, float, float, float, float}  $x
     * @return ?array{float, float, float, float, float}
     */
    private function newton(array $x, ?float $opening): ?array
    {
        $misses = $this->misses->of($x, $opening);
        if ($misses === null) {
            return null;
        }
        $norm = Misses::norm($misses);
        for ($round = 0; $round < 45 && $this->misses->walks <= $this->budget; $round++) {
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
                $trial = $this->misses->bounded([
                    $x[0] + $share * $step[0],
                    $x[1] + $share * $step[1],
                    $x[2] + $share * $step[2],
                    $x[3] + $share * $step[3],
                    $x[4] + $share * $step[4],
                ]);
                $missed = $this->misses->of($trial, $opening);
                if ($missed !== null) {
                    $trialNorm = Misses::norm($missed);
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
        $rows = $this->misses->jacobian($x, $misses, $opening);
        if ($rows === null) {
            return null;
        }
        for ($row = 0; $row < 5; $row++) {
            $rows[$row][5] = -$misses[$row];
        }

        return Elimination::solved($rows);
    }
}
