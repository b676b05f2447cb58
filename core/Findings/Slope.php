<?php

declare(strict_types=1);

namespace Metrum\Findings;

/**
 * A straight line through samples by least squares, with its standard deviation.
 *
 * Samples of a plant follow each other closely: what is left over of them says less than as many free ones would. The
 * deviation is widened by √((1 + r) ÷ (1 − r)), r the correlation of what is left over from one sample to the next
 * (the usual correction for a first-order process).
 */
final readonly class Slope
{
    private const LEAST = 4;

    /** Correlation up to which the correction holds. */
    private const MOST = 0.95;

    /** Deviations from which a slope is one, and two slopes differ. */
    private const SURE = 2.0;

    /**
     * @param  float  $perSecond  SI a second
     * @param  float  $deviation  of that
     * @param  float  $from  s since 1970 of the first sample, and of the last
     * @param  float  $begin  SI on the line at its first moment, and at its last
     */
    private function __construct(
        public float $perSecond,
        public float $deviation,
        public float $from,
        public float $to,
        public float $begin,
        public float $end,
    ) {
    }

    /** @param  list<array{float, float}>  $points  s and SI, in order of time; null where they are too few */
    public static function through(array $points): ?self
    {
        $count = count($points);
        if ($count < self::LEAST || $points[$count - 1][0] <= $points[0][0]) {
            return null;
        }
        $times = array_sum(array_column($points, 0)) / $count;
        $values = array_sum(array_column($points, 1)) / $count;
        $wide = $along = 0.0;
        foreach ($points as [$at, $si]) {
            $wide += ($at - $times) ** 2;
            $along += ($at - $times) * ($si - $values);
        }
        $slope = $along / $wide;
        $left = array_map(
            static fn (array $one): float => $one[1] - $values - $slope * ($one[0] - $times),
            $points,
        );
        $squares = array_sum(array_map(static fn (float $one): float => $one ** 2, $left));
        $r = self::correlation($left, $squares);
        $deviation = sqrt(($squares / ($count - 2) / $wide) * (1 + $r) / (1 - $r));
        [$from, $to] = [$points[0][0], $points[$count - 1][0]];

        return new self(
            $slope,
            $deviation,
            $from,
            $to,
            $values + $slope * ($from - $times),
            $values + $slope * ($to - $times),
        );
    }

    /** @param  list<float>  $left */
    private static function correlation(array $left, float $squares): float
    {
        $next = 0.0;
        foreach (array_slice($left, 1) as $place => $one) {
            $next += $one * $left[$place];
        }

        return $squares <= 0.0 ? 0.0 : max(0.0, min(self::MOST, $next / $squares));
    }

    /** Whether it goes anywhere, or only seems to. */
    public function isSure(): bool
    {
        return abs($this->perSecond) > self::SURE * $this->deviation;
    }

    /** Whether another goes differently, beyond what both are off by. */
    public function differs(self $other): bool
    {
        return abs($this->perSecond - $other->perSecond) > self::SURE * hypot($this->deviation, $other->deviation);
    }
}
