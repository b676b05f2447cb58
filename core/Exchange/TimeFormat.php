<?php

declare(strict_types=1);

namespace Metrum\Exchange;

/** How a controller writes its times. */
enum TimeFormat: string
{
    case YearFirst = 'year_first';
    case DayFirst = 'day_first';
    case MonthFirst = 'month_first';
    case Seconds = 'seconds';

    /** Seconds since 1970 that are times of a controller: 2000 to 2100. */
    private const FROM = 946_684_800;

    private const TO = 4_102_444_800;

    private const CLOCK = '(?:[ T,]+(\d{1,2}):(\d{2})(?::(\d{2})(?:[.,]\d+)?)?)?\s*(Z|[+-]\d{2}:?\d{2})?';

    public function label(): string
    {
        return match ($this) {
            self::YearFirst => '2026-12-31 14:05',
            self::DayFirst => '31.12.2026 14:05',
            self::MonthFirst => '12/31/2026 14:05',
            self::Seconds => 'seconds since 1970',
        };
    }

    /** Seconds since 1970; null where it is no time in this format. @param  \DateTimeZone  $zone  on the wall */
    public function read(string $typed, \DateTimeZone $zone): ?float
    {
        $plain = trim($typed);
        if ($this === self::Seconds) {
            $number = is_numeric($plain) ? (float) $plain : null;

            return $number !== null && $number > self::FROM && $number < self::TO ? $number : null;
        }
        $date = $this === self::YearFirst
            ? '(\d{4})[-\/.](\d{1,2})[-\/.](\d{1,2})'
            : '(\d{1,2})[-\/.](\d{1,2})[-\/.](\d{4}|\d{2})';
        if (preg_match('/^'.$date.self::CLOCK.'$/', $plain, $is) !== 1) {
            return null;
        }
        [$year, $month, $day] = match ($this) {
            self::YearFirst => [$is[1], $is[2], $is[3]],
            self::DayFirst => [$is[3], $is[2], $is[1]],
            self::MonthFirst => [$is[3], $is[1], $is[2]],
        };
        $year = strlen($year) === 2 ? 2000 + (int) $year : (int) $year;
        $clock = array_map(intval(...), [$is[4] ?? '', $is[5] ?? '', $is[6] ?? '']);
        $isDay = checkdate((int) $month, (int) $day, $year) && $clock[0] < 24 && $clock[1] < 60 && $clock[2] < 61;
        if (! $isDay) {
            return null;
        }
        $at = sprintf('%04d-%02d-%02d %02d:%02d:%02d', $year, $month, $day, ...$clock);
        $given = $is[7] ?? '';

        return (float) (new \DateTimeImmutable($at.$given, $zone))->getTimestamp();
    }

    /**
     * Formats in which all of them are times, growing; the likeliest first.
     *
     * @param  list<string>  $typed
     * @return list<self>
     */
    public static function fitting(array $typed, \DateTimeZone $zone): array
    {
        $fitting = [];
        foreach (self::cases() as $format) {
            $times = array_map(static fn (string $one): ?float => $format->read($one, $zone), $typed);
            if ($typed !== [] && ! in_array(null, $times, true)) {
                $fitting[] = $format;
            }
        }

        return $fitting;
    }
}
