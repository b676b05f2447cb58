<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Installation\PartId;
use Metrum\Knowledge\Reading;

/** One reading of one part as a controller wrote it down over time. */
final readonly class Trend
{
    /** s from a sample within which it stands for a moment. */
    private const NEAR = 900.0;

    /** @param  non-empty-list<array{float, float}>  $points  s since 1970 and SI, in order of time */
    private function __construct(public Reading $reading, public PartId $part, public array $points)
    {
    }

    /** @param  non-empty-list<array{float, float}>  $points  s since 1970 and SI, in any order; the later one stands */
    public static function of(Reading $reading, PartId $part, array $points): self
    {
        $once = [];
        foreach ($points as [$at, $si]) {
            $once[(string) $at] = [$at, $si];
        }
        $all = array_values($once);
        usort($all, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return new self($reading, $part, $all);
    }

    /** s since 1970 of the first sample. */
    public function begins(): float
    {
        return $this->points[0][0];
    }

    /** s since 1970 of the last sample. */
    public function ends(): float
    {
        return $this->points[count($this->points) - 1][0];
    }

    /**
     * The sample nearest to a moment; null where none is near.
     *
     * @return ?array{float, float} s since 1970 and SI
     */
    public function at(float $moment): ?array
    {
        $best = $this->points[0];
        foreach ($this->points as $point) {
            $best = abs($point[0] - $moment) < abs($best[0] - $moment) ? $point : $best;
        }

        return abs($best[0] - $moment) <= self::NEAR ? $best : null;
    }

    /** How it goes from one moment to another; null where too little was written down. */
    public function slope(float $from, float $to): ?Slope
    {
        $points = array_values(array_filter(
            $this->points,
            static fn (array $one): bool => $one[0] >= $from && $one[0] <= $to,
        ));

        return Slope::through($points);
    }
}
