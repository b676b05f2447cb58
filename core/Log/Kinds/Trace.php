<?php

declare(strict_types=1);

namespace Metrum\Log\Kinds;

use Metrum\Log\Content;
use Metrum\Log\NotAFact;

/**
 * What was seen in time before it is typed, as minutes and values, "0 15, 10 11, 40 3", seconds, "0s 15, 20s 14", or
 * times of the day, "9:50 15, 10:30 3"; or what a logger exports. The last one is of now, the others of so long before.
 */
final readonly class Trace
{
    /** Under which a value keeps how many seconds before its entry it was seen. */
    public const AGO = 'ago';

    private const MOST = 60;

    /** Minutes from the first value to the last, at most: two days. */
    private const LONGEST = 2880.0;

    private const CLOCK = '/^(\d{1,2}):([0-5]\d)\s+(\S.*)$/u';

    private const SINCE = '/^(\d+(?:[.,]\d+)?)\s*(s|sec|min|h)?[\s=]\s*(\S.*)$/u';

    /** Minutes of a unit. */
    private const UNITS = ['' => 1.0, 'min' => 1.0, 's' => 1 / 60, 'sec' => 1 / 60, 'h' => 60.0];

    private const DAY = 1440.0;

    /** @param  non-empty-list<array{float, string}>  $points  seconds ago, and the value as typed */
    private function __construct(public array $points)
    {
    }

    /** @throws NotAFact where it is one that cannot be; null where a single value was typed */
    public static function in(string $typed): ?self
    {
        $logged = LoggedSeries::in($typed, self::MOST);
        if ($logged !== null) {
            return self::of($logged);
        }
        $split = preg_split('/\s*(?:;|\n|,\s)\s*/u', trim($typed), -1, PREG_SPLIT_NO_EMPTY);
        $parts = $split === false ? [] : $split;
        if (count($parts) < 2) {
            return null;
        }
        if (count($parts) > self::MOST) {
            throw NotAFact::because('You entered '.count($parts).' values; the limit is '.self::MOST.' at once.');
        }
        $points = [];
        $before = null;
        foreach ($parts as $part) {
            [$minutes, $value] = self::point($part, $before);
            if ($before !== null && $minutes <= $before) {
                throw NotAFact::because('Times must increase: "'.$part.'" comes after '.self::number($before).' min.');
            }
            [$before, $points[]] = [$minutes, [$minutes, $value]];
        }

        return self::of($points);
    }

    /**
     * @param  non-empty-list<array{float, string}>  $points  minutes, and the value as typed
     *
     * @throws NotAFact
     */
    private static function of(array $points): self
    {
        $last = $points[count($points) - 1][0];
        $span = $last - $points[0][0];
        if ($span > self::LONGEST) {
            throw NotAFact::because('You entered '.self::number($span).' min; the limit is two days.');
        }

        return new self(
            array_map(static fn (array $one): array => [60.0 * ($last - $one[0]), $one[1]], $points),
        );
    }

    /**
     * @param  ?float  $before  minutes of the point before it
     * @return array{float, string} minutes, and the value as typed
     *
     * @throws NotAFact
     */
    private static function point(string $part, ?float $before): array
    {
        if (preg_match(self::CLOCK, $part, $is) === 1) {
            $minutes = 60.0 * (float) $is[1] + (float) $is[2];
            // After midnight.
            $days = $before === null ? 0.0 : max(0.0, ceil(($before - $minutes - self::DAY / 2) / self::DAY));

            return [$minutes + $days * self::DAY, $is[3]];
        }
        if (preg_match(self::SINCE, $part, $is) === 1) {
            return [self::UNITS[$is[2]] * (float) str_replace(',', '.', $is[1]), $is[3]];
        }
        throw NotAFact::because(
            'You entered “'.mb_substr($part, 0, 40).'”. Enter minutes and a value each, e.g. 0 15, 10 11, 40 3.',
        );
    }

    /** Seconds before its entry that a value was seen; 0 where it was entered as it was seen. */
    public static function ago(Content $content): float
    {
        $ago = $content->data[self::AGO] ?? 0.0;

        return is_float($ago) || is_int($ago) ? max(0.0, (float) $ago) : 0.0;
    }

    private static function number(float $minutes): string
    {
        return rtrim(rtrim(number_format($minutes, 2, '.', ''), '0'), '.');
    }
}
