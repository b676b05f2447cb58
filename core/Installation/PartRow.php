<?php

declare(strict_types=1);

namespace Metrum\Installation;

use Metrum\Data\Reasons;
use Metrum\Data\Section;
use Metrum\Quantity\Unit;

/** What every row of a plant's document can say: which part it is, and what it was built to do. */
final readonly class PartRow
{
    public const CAPACITY = 'capacity_kw';

    /** W. */
    private const MOST_CAPACITY = 5e6;

    /** W of cooling. */
    public static function capacity(Section $design): ?float
    {
        $given = $design->number(self::CAPACITY);
        $si = $given === null ? null : Unit::Kilowatt->toSi($given);
        if ($si !== null && ($si <= 0.0 || $si > self::MOST_CAPACITY)) {
            $most = Unit::Kilowatt->fromSi(self::MOST_CAPACITY);
            $design->refuse(self::CAPACITY, 'got '.Reasons::shown($given).', expected above 0 to '.$most);
        }

        return $si;
    }

    /** A part that all circuits share, as it is named, else by its number. */
    public static function shared(Section $row, PartKind $kind, int $number): PartId
    {
        return self::named($row, PartId::shared($kind, (string) $number));
    }

    /** As it is named, else as it would be. */
    public static function named(Section $row, PartId $otherwise): PartId
    {
        $given = $row->text('part');
        try {
            $part = $given === null ? $otherwise : PartId::of($given);
        } catch (NoPart $reason) {
            $row->refuse('part', $reason->getMessage());

            return $otherwise;
        }
        if ($part->kind() !== $otherwise->kind()) {
            $row->refuse('part', 'got '.Reasons::shown($given).', expected one like '.$otherwise->value);
        }

        return $part;
    }
}
