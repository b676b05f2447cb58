<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Data\Refused;

/** A controller's export: columns under their headings, a row a moment, values as they are written. */
final readonly class TrendFile
{
    public const MOST_ROWS = 60_000;

    private const MOST_COLUMNS = 64;

    private const DELIMITERS = [';', "\t", ','];

    /** Rows that are looked at to know a column. */
    private const SAMPLE = 40;

    /**
     * @param  list<string>  $columns
     * @param  list<list<string>>  $rows  each as long as the columns
     */
    private function __construct(public array $columns, public array $rows)
    {
    }

    /** @throws Refused where it is no table with a heading */
    public static function read(string $text): self
    {
        $plain = str_starts_with($text, "\u{FEFF}") ? substr($text, 3) : $text;
        if (! mb_check_encoding($plain, 'UTF-8')) {
            $plain = mb_convert_encoding($plain, 'UTF-8', 'Windows-1252');
        }
        $lines = preg_split('/\R/', trim($plain));
        $lines = array_values(
            array_filter($lines === false ? [] : $lines, static fn (string $one): bool => trim($one) !== ''),
        );
        if (count($lines) < 2) {
            throw new Refused(['file: expected a heading and at least one row, got '.count($lines).' lines']);
        }
        if (count($lines) - 1 > self::MOST_ROWS) {
            throw new Refused(['file: '.(count($lines) - 1).' rows; the limit is '.self::MOST_ROWS]);
        }
        $delimiter = self::delimiter($lines[0]);
        $split = static fn (string $line): array => array_map(
            static fn (?string $one): string => trim((string) $one),
            str_getcsv($line, $delimiter, '"', ''),
        );
        $columns = $split($lines[0]);
        if (count($columns) < 2 || count($columns) > self::MOST_COLUMNS) {
            throw new Refused([
                'heading: '.count($columns).' columns, separated by ; , or tab; expected 2 to '.self::MOST_COLUMNS,
            ]);
        }
        $rows = [];
        foreach (array_slice($lines, 1) as $line) {
            $rows[] = array_pad(array_slice($split($line), 0, count($columns)), count($columns), '');
        }

        return new self($columns, $rows);
    }

    private static function delimiter(string $heading): string
    {
        $best = ',';
        $most = 0;
        foreach (self::DELIMITERS as $one) {
            $count = substr_count($heading, $one);
            if ($count > $most) {
                [$best, $most] = [$one, $count];
            }
        }

        return $best;
    }

    /** @return list<string> the first values of a column */
    public function sample(int $column): array
    {
        return array_column(array_slice($this->rows, 0, self::SAMPLE), $column);
    }

    /** A number as a controller writes it; null where it is none. */
    public static function number(string $typed): ?float
    {
        $plain = str_replace(["\u{2212}", "\u{00A0}", ' '], ['-', '', ''], trim($typed));
        $plain = str_contains($plain, ',') && ! str_contains($plain, '.') ? str_replace(',', '.', $plain) : $plain;

        return is_numeric($plain) ? (float) $plain : null;
    }
}
