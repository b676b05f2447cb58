<?php

declare(strict_types=1);

namespace Metrum\Work\Goods;

/**
 * For how long goods were out of their limits. Between two readings close to each other the temperature is taken to
 * change evenly; across a longer gap it is known only where both ends are out, else the gap counts from none to whole.
 */
final readonly class GoodsHours
{
    /** s between two readings up to which the line between them is trusted. */
    private const CLOSE = 3600.0;

    /**
     * @param  float  $least  s above the upper limit, at least
     * @param  float  $most  s above it, at most
     * @param  ?float  $highest  K that was read; null where nothing was
     * @param  ?float  $lowest  K that was read
     * @param  bool  $isAbove  above it at the last reading
     * @param  bool  $wasBelow  below the lower limit at a reading
     * @param  bool  $isSinceUnknown  above it at the first reading, and nobody knows since when
     */
    private function __construct(
        public float $least,
        public float $most,
        public ?float $highest,
        public ?float $lowest,
        public bool $isAbove,
        public bool $wasBelow,
        public bool $isSinceUnknown,
    ) {
    }

    /**
     * @param  float  $low  K; below it they freeze or take harm
     * @param  float  $high  K
     */
    public static function of(GoodsTrack $track, float $low, float $high): self
    {
        $points = array_values(array_filter(
            $track->points,
            static fn (array $one): bool => $one[0] <= $track->until(),
        ));
        if ($points === []) {
            return new self(0.0, 0.0, null, null, false, false, false);
        }
        $first = $points[0];
        $last = $points[count($points) - 1];
        [$least, $most] = self::before($track, $first, $high);
        foreach (array_slice($points, 1) as $place => $point) {
            [$sure, $possible] = self::between($points[$place], $point, $high);
            $least += $sure;
            $most += $possible;
        }
        // What was above at the last reading stays so until it is read again, or moved.
        $most += $last[1] > $high ? $track->until() - $last[0] : 0.0;
        $temperatures = array_column($points, 1);
        $lowest = min($temperatures);

        $isUnknown = $first[1] > $high && $track->lastGood === null;

        return new self($least, $most, max($temperatures), $lowest, $last[1] > $high, $lowest < $low, $isUnknown);
    }

    /**
     * Before the first reading: since it was known to be good, it may have been above from then on.
     *
     * @param  array{float, float}  $first
     * @return array{float, float} s, at least and at most
     */
    private static function before(GoodsTrack $track, array $first, float $high): array
    {
        return $first[1] > $high && $track->lastGood !== null
            ? [0.0, max(0.0, $first[0] - $track->lastGood)]
            : [0.0, 0.0];
    }

    /**
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     * @return array{float, float} s, at least and at most
     */
    private static function between(array $from, array $to, float $high): array
    {
        $seconds = $to[0] - $from[0];
        $out = array_filter([$from[1], $to[1]], static fn (float $one): bool => $one > $high);
        if (count($out) !== 1) {
            return $out === [] ? [0.0, 0.0] : [$seconds, $seconds];
        }
        if ($seconds > self::CLOSE) {
            return [0.0, $seconds];
        }
        $above = ($seconds * (max($from[1], $to[1]) - $high)) / abs($to[1] - $from[1]);

        return [$above, $above];
    }
}
