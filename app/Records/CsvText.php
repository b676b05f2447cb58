<?php

namespace App\Records;

/** A table as the text of a CSV file, as spreadsheets read it. */
final class CsvText
{
    /** What begins a formula in a spreadsheet. */
    private const FORMULA = ['=', '+', '-', '@'];

    /**
     * @param  list<string>  $columns
     * @param  list<array<string, string|float|int|null>>  $rows
     */
    public static function of(array $columns, array $rows): string
    {
        $file = fopen('php://temp', 'w+');
        assert($file !== false);
        fputcsv($file, $columns, escape: '');
        foreach ($rows as $row) {
            fputcsv($file, array_map(self::harmless(...), $row), escape: '');
        }
        rewind($file);

        return (string) stream_get_contents($file);
    }

    /** A text that a spreadsheet would take for a formula stays a text. */
    private static function harmless(string|float|int|null $cell): string|float|int|null
    {
        return is_string($cell) && in_array($cell[0] ?? '', self::FORMULA, true) ? "'".$cell : $cell;
    }
}
