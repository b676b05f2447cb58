<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\DataFile;
use Metrum\Circuit\Fault;
use Metrum\Quantity\BrokenData;
use Metrum\Quantity\Prepared;

/** Every fault's entry, one file each in data/faults. */
final class FaultCatalogue
{
    /** @var array<string, FaultEntry> */
    private static array $entries = [];

    /** @throws BrokenData */
    public static function entry(Fault $fault): FaultEntry
    {
        if (self::$entries === []) {
            self::$entries = Prepared::of('faults', self::read(...));
        }

        return self::$entries[$fault->value];
    }

    /**
     * What brings a fault about.
     *
     * @return list<Fault>
     *
     * @throws BrokenData
     */
    public static function causesOf(Fault $fault): array
    {
        $bringsItAbout = static fn (Fault $one): bool => isset(self::entry($one)->bringsAbout[$fault->value]);

        return array_values(array_filter(Fault::cases(), $bringsItAbout));
    }

    /**
     * @return array<string, FaultEntry> by Fault
     *
     * @throws BrokenData
     */
    private static function read(): array
    {
        $entries = [];
        foreach (Fault::cases() as $fault) {
            $entries[$fault->value] = FaultEntry::of(DataFile::read('faults/'.$fault->value), $fault);
        }

        return $entries;
    }
}
