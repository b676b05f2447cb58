<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\DataFile;
use Metrum\Circuit\Fault;
use Metrum\Quantity\BrokenData;

/** Every fault's entry, one file each in data/faults. */
final class FaultCatalogue
{
    /** @var array<string, FaultEntry> */
    private static array $entries = [];

    /** @throws BrokenData */
    public static function entry(Fault $fault): FaultEntry
    {
        return self::$entries[$fault->value] ??= FaultEntry::of(
            DataFile::read('faults/'.$fault->value),
            $fault,
        );
    }
}
