<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\DataFile;
use Metrum\Circuit\Fault;

/** Every fault's entry, one file each in data/faults. */
final class FaultCatalogue
{
    /** @var array<string, FaultEntry> */
    private static array $entries = [];

    public static function entry(Fault $fault): FaultEntry
    {
        return self::$entries[$fault->value] ??= self::read($fault);
    }

    public static function name(Fault $fault): string
    {
        return self::entry($fault)->name;
    }

    private static function read(Fault $fault): FaultEntry
    {
        /** @var array{name: string, mechanism: string, for_the_owner: string, what_we_do: string, how_often: string, prior: float|int, speaks_for: list<string>, speaks_against: list<string>, check: list<string>, do: list<string>, cautions: list<string>, scaled: list<array{condition: string, true: float|int, false: float|int, unknown: float|int}>, signs: array<string, float|int|array{float|int, float|int}>, signs_capillary: array<string, float|int|array{float|int, float|int}>, words: array<string, array<string, float|int>>, complaints: array<string, float|int>} $file */
        $file = DataFile::read('faults/'.$fault->value);

        return new FaultEntry(
            $fault,
            $file['name'],
            $file['mechanism'],
            $file['for_the_owner'],
            $file['what_we_do'],
            $file['how_often'],
            (float) $file['prior'],
            $file['speaks_for'],
            $file['speaks_against'],
            $file['check'],
            $file['do'],
            $file['cautions'],
            $file['scaled'],
            $file['signs'],
            $file['signs_capillary'],
            $file['words'],
            $file['complaints'],
        );
    }
}
