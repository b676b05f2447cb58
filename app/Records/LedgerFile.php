<?php

namespace App\Records;

use Metrum\Data\Refused;
use Metrum\Quantity\Unit;
use Metrum\Work\Ledger\Cylinder;
use Metrum\Work\Ledger\Movement;

/** Movements of refrigerant as a file: CSV for a spreadsheet, JSON for other programs. Both are read back. */
final class LedgerFile
{
    public const COLUMNS = [
        'id',
        'at',
        'circuit_id',
        'where',
        'refrigerant',
        'kilograms',
        'pounds',
        'ounces',
        'purpose',
        'cylinder',
        'bottle_before_kg',
        'bottle_after_kg',
        'by',
    ];

    private const MOST = 50_000;

    private const UTF8 = "\u{FEFF}";

    /**
     * @param  list<Movement>  $movements
     * @param  array<string, Cylinder>  $cylinders  by id
     * @return list<array<string, string|float|null>>
     */
    public static function rows(array $movements, array $cylinders): array
    {
        return array_map(
            static fn (Movement $one): array => [
                'id' => $one->id,
                'at' => $one->at->format(\DateTimeInterface::ATOM),
                'circuit_id' => $one->circuit,
                'where' => $one->where,
                'refrigerant' => $one->refrigerant,
                'kilograms' => round($one->kilograms, 4),
                'pounds' => round(Unit::Pound->fromSi($one->kilograms), 4),
                'ounces' => round(Unit::Ounce->fromSi($one->kilograms), 3),
                'purpose' => $one->purpose->value,
                'cylinder' => isset($cylinders[$one->cylinder]) ? $cylinders[$one->cylinder]->label : $one->cylinder,
                'bottle_before_kg' => $one->before,
                'bottle_after_kg' => $one->after,
                'by' => $one->who,
            ],
            $movements,
        );
    }

    /** @param  list<array<string, string|float|null>>  $rows */
    public static function json(array $rows): string
    {
        return json_encode($rows, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR)."\n";
    }

    /** @param  list<array<string, string|float|null>>  $rows */
    public static function csv(array $rows): string
    {
        return CsvText::of(self::COLUMNS, $rows);
    }

    /**
     * Rows of a file, by their line; JSON where it begins so, else CSV with its first line as names.
     *
     * @return array<int, array<string, mixed>>
     *
     * @throws Refused where it is neither
     */
    public static function read(string $text): array
    {
        self::checkCharacters($text);
        $text = ltrim($text, self::UTF8." \r\n\t");
        $isJson = str_starts_with($text, '[') || str_starts_with($text, '{');
        $rows = $isJson ? self::readJson($text) : self::readCsv($text);
        if ($rows === []) {
            throw new Refused(['file: contains no movement']);
        }
        if (count($rows) > self::MOST) {
            throw new Refused(['file: '.count($rows).' movements; the limit is '.self::MOST.' per file']);
        }

        return $rows;
    }

    /** @throws Refused where it is not UTF-8: what is read wrongly is worse than what is not read */
    private static function checkCharacters(string $text): void
    {
        if (mb_check_encoding($text, 'UTF-8') && ! str_contains($text, "\0")) {
            return;
        }
        foreach (explode("\n", $text) as $i => $line) {
            if (! mb_check_encoding($line, 'UTF-8') || str_contains($line, "\0")) {
                $number = $i + 1;
                throw new Refused(["line $number: not UTF-8; save the file as UTF-8 and import it again"]);
            }
        }
    }

    /** @return array<int, array<string, mixed>> @throws Refused */
    private static function readJson(string $text): array
    {
        $given = json_decode($text, true);
        if (! is_array($given)) {
            throw new Refused(['file: not valid JSON: '.json_last_error_msg()]);
        }
        $rows = [];
        foreach (array_is_list($given) ? $given : [$given] as $i => $row) {
            $number = $i + 1;
            $rows[$number] = is_array($row)
                ? self::named($row)
                : throw new Refused(["row $number: expected an object"]);
        }

        return $rows;
    }

    /**
     * @param  array<mixed>  $row
     * @return array<string, mixed>
     */
    private static function named(array $row): array
    {
        $named = [];
        foreach ($row as $name => $cell) {
            $named[mb_strtolower(trim((string) $name))] = $cell;
        }

        return $named;
    }

    /** @return array<int, array<string, mixed>> @throws Refused */
    private static function readCsv(string $text): array
    {
        $file = fopen('php://temp', 'w+');
        assert($file !== false);
        fwrite($file, $text);
        rewind($file);
        $first = strtok($text, "\n");
        $separator = substr_count((string) $first, ';') > substr_count((string) $first, ',') ? ';' : ',';
        $names = null;
        $rows = [];
        for ($line = 1; ($cells = fgetcsv($file, null, $separator, escape: '')) !== false; $line++) {
            if ($cells === [null]) {
                continue;
            }
            if ($names === null) {
                $names = array_map(static fn (?string $one): string => mb_strtolower(trim((string) $one)), $cells);
                self::checkNames($names);

                continue;
            }
            $row = [];
            foreach ($names as $i => $name) {
                $row[$name] = isset($cells[$i]) ? ltrim($cells[$i], "'") : null;
            }
            $rows[$line] = $row;
        }

        return $rows;
    }

    /** @param  list<string>  $names  @throws Refused */
    private static function checkNames(array $names): void
    {
        foreach (['at', 'kilograms'] as $wanted) {
            if (! in_array($wanted, $names, true)) {
                throw new Refused([
                    "line 1: no column \"$wanted\"; required columns: ".implode(', ', self::COLUMNS),
                ]);
            }
        }
    }
}
