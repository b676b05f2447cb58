<?php

namespace App\View\Defrost;

use Metrum\Work\Defrost\DefrostPlan;

/** Times of a day as people type them: "02:00 08:30", "10:00-11:30". */
final class DayTimes
{
    private const TIME = '([01]?\d|2[0-4])[:.]?([0-5]\d)?';

    /**
     * Minutes of the day.
     *
     * @return ?list<int> null where something of it is no time
     */
    public static function times(string $typed): ?array
    {
        $times = [];
        foreach (preg_split('~[\s,;]+~', trim($typed), flags: PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            $minute = self::minute($word);
            if ($minute === null) {
                return null;
            }
            $times[] = $minute % DefrostPlan::DAY;
        }

        return $times;
    }

    /**
     * From and to, minutes of the day.
     *
     * @return ?list<array{int, int}> null where something of it is no span of time
     */
    public static function spans(string $typed): ?array
    {
        $spans = [];
        $plain = (string) preg_replace('~\s*[-–]\s*~u', '-', trim($typed));
        foreach (preg_split('~[\s,;]+~', $plain, flags: PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            $ends = array_map(self::minute(...), explode('-', $word));
            if (count($ends) !== 2 || $ends[0] === null || $ends[1] === null || $ends[0] === $ends[1]) {
                return null;
            }
            $spans[] = [$ends[0], $ends[1]];
        }

        return $spans;
    }

    public static function text(int $minute): string
    {
        return sprintf('%02d:%02d', intdiv($minute, 60), $minute % 60);
    }

    /** Minutes of a span; up to midnight where it goes past it. */
    public static function length(int $from, int $to): int
    {
        return ($to > $from ? $to : DefrostPlan::DAY) - $from;
    }

    private static function minute(string $word): ?int
    {
        if (preg_match('~^'.self::TIME.'$~', $word, $found) !== 1) {
            return null;
        }
        $minute = 60 * (int) $found[1] + (int) ($found[2] ?? 0);

        return $minute > DefrostPlan::DAY ? null : $minute;
    }
}
