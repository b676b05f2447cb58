<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Data\BrokenData;
use Metrum\Data\Knowledge;
use Metrum\Knowledge\Fault;

/** Every fault's entry, one file each in data/faults. */
final class FaultCatalogue
{
    /** @throws BrokenData */
    public static function entry(Fault $fault): FaultEntry
    {
        return Knowledge::kept('faults', self::read(...))[$fault->value];
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
            $entries[$fault->value] = FaultEntry::of(Knowledge::file('faults/'.$fault->value), $fault);
        }

        return $entries;
    }
}
