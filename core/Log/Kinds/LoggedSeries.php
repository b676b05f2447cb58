<?php

declare(strict_types=1);

namespace Metrum\Log\Kinds;

use Metrum\Log\NotAFact;

/**
 * A logger's export as it is pasted: a moment and a value a line, "2026-11-30 10:02:30;3.4", "30.11.2026 10:02:30<tab>
 * 3,4", "10:02:30,3.4"; a line of titles before them, and further columns, are left out.
 */
final class LoggedSeries
{
    private const LINE = '/^(?:(?<date>\d{4}-\d{2}-\d{2}|\d{1,2}[.\/]\d{1,2}[.\/]\d{4})[T,;\s]+)?'.
        '(?<hour>\d{1,2}):(?<minute>[0-5]\d)(?::(?<second>[0-5]\d)(?:[.,]\d+)?)?'.
        '\s*[;,\t ]\s*(?<value>[+\-−]?\d+(?:[.,]\d+)?)(?![\d:])/u';

    private const MOST = 20_000;

    private const DAY = 1440.0;

    /** Lines of which a moment has a date or seconds, from which it is a logger's. */
    private const LEAST = 3;

    /**
     * @param  int  $most  values that are kept; of more, what swings keeps its ends
     * @return ?non-empty-list<array{float, string}> minutes from the first, and the value; null where it is none
     *
     * @throws NotAFact where a line cannot be read
     */
    public static function in(string $typed, int $most): ?array
    {
        $lines = preg_split('/\s*\R\s*/u', trim($typed), -1, PREG_SPLIT_NO_EMPTY);
        $lines = $lines === false ? [] : $lines;
        $read = array_map(self::line(...), $lines);
        $exact = array_filter($read, static fn (?array $one): bool => $one !== null && $one['isExact']);
        if (count($exact) < self::LEAST) {
            return null;
        }
        if (count($lines) > self::MOST) {
            throw NotAFact::because('You entered '.count($lines).' lines; the limit is '.self::MOST.'.');
        }
        $points = [];
        $before = null;
        foreach ($read as $place => $one) {
            if ($one === null) {
                // A title may stand before the first value.
                if ($points === []) {
                    continue;
                }
                throw NotAFact::because('Line '.($place + 1).' reads “'.mb_substr($lines[$place], 0, 40).
                    '”. Expected a time and a value, e.g. 2026-11-30 10:02:30;3.4.');
            }
            $minutes = $one['minutes'];
            $minutes += $before !== null && ! $one['isDated'] && $minutes < $before
                ? self::DAY * ceil(($before - $minutes) / self::DAY)
                : 0.0;
            if ($before !== null && $minutes <= $before) {
                continue;
            }
            [$before, $points[]] = [$minutes, [$minutes, $one['value']]];
        }

        return $points === [] ? null : self::thinned($points, $most);
    }

    /** @return ?array{minutes: float, value: string, isDated: bool, isExact: bool} */
    private static function line(string $line): ?array
    {
        if (preg_match(self::LINE, trim($line, " \t\"'"), $is) !== 1) {
            return null;
        }
        $date = $is['date'];
        $time = 60.0 * (float) $is['hour'] + (float) $is['minute'] + (float) $is['second'] / 60.0;

        return [
            'minutes' => $time + ($date === '' ? 0.0 : self::DAY * self::day($date)),
            'value' => $is['value'],
            'isDated' => $date !== '',
            'isExact' => $date !== '' || $is['second'] !== '',
        ];
    }

    /** Days since a fixed one. */
    private static function day(string $date): int
    {
        $parts = array_map(intval(...), explode('-', strtr($date, './', '--')));
        [$year, $month, $day] = $parts[0] > 31 ? $parts : array_reverse($parts);

        return (int) round((int) gmmktime(0, 0, 0, $month, $day, $year) / 86_400);
    }

    /**
     * Of each stretch the lowest and the highest, so that a swing keeps its ends.
     *
     * @param  non-empty-list<array{float, string}>  $points
     * @return non-empty-list<array{float, string}>
     */
    private static function thinned(array $points, int $most): array
    {
        if (count($points) <= $most) {
            return $points;
        }
        $last = count($points) - 1;
        $inner = array_slice($points, 1, -1);
        $kept = [0 => $points[0], $last => $points[$last]];
        $size = max(1, (int) ceil(count($inner) / max(1, intdiv($most - 2, 2))));
        foreach (array_chunk($inner, $size) as $chunk => $stretch) {
            $values = array_map(static fn (array $one): float => self::number($one[1]), $stretch);
            foreach ([min($values), max($values)] as $end) {
                $place = (int) array_search($end, $values, true);
                $kept[1 + $chunk * $size + $place] = $stretch[$place];
            }
        }
        ksort($kept);

        return array_values($kept);
    }

    private static function number(string $typed): float
    {
        return (float) str_replace(['−', ','], ['-', '.'], $typed);
    }
}
