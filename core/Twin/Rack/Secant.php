<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

/** Finds where a function of one number is nothing, by the secant rule with bounded slopes and steps. */
final readonly class Secant
{
    private const ROUNDS = 24;

    /** Moves by which no slope can be told. */
    private const STILL = 1e-9;

    /**
     * @param  float  $near  miss with which it is found
     * @param  float  $close  step below which it is found
     * @param  array{float, float}  $slopes  least and most that the slope may be, as multiples of what is guessed of it
     * @param  float  $stride  largest step
     */
    public function __construct(
        private float $near,
        private float $close,
        private array $slopes,
        private float $stride = INF,
    ) {
    }

    /**
     * @param  callable(float): float  $miss
     * @param  float  $slope  what is guessed of its slope, not 0
     */
    public function root(callable $miss, float $x, float $slope, float $low = -INF, float $high = INF): float
    {
        $before = null;
        $x = max($low, min($high, $x));
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $missed = $miss($x);
            if (abs($missed) < $this->near) {
                break;
            }
            $steep = $slope;
            if ($before !== null && abs($x - $before[0]) > self::STILL) {
                $found = ($missed - $before[1]) / ($x - $before[0]);
                $steep = $slope * max($this->slopes[0], min($this->slopes[1], $found / $slope));
            }
            $before = [$x, $missed];
            $step = max(-$this->stride, min($this->stride, -$missed / $steep));
            $next = max($low, min($high, $x + $step));
            if (abs($next - $x) < $this->close) {
                break;
            }
            $x = $next;
        }

        return $x;
    }
}
