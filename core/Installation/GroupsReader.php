<?php

declare(strict_types=1);

namespace Metrum\Installation;

use Metrum\Data\Reasons;
use Metrum\Data\Section;

/** Reads the suction groups of a plant's document, each with its compressors. */
final readonly class GroupsReader
{
    /**
     * @param  list<string>  $ofGroup  keys that a group may have besides
     * @param  list<string>  $ofCompressor  the same of a compressor
     */
    public function __construct(private array $ofGroup = [], private array $ofCompressor = [])
    {
    }

    /** @return non-empty-array<string, SuctionGroup> by their part; one where none is named */
    public function read(Section $top): array
    {
        $groups = [];
        $several = count($top->rows('circuits')) > 1;
        foreach ($top->rows('groups') as $place => $row) {
            $group = $this->group($row, $place + 1, $several);
            if (isset($groups[$group->part->value])) {
                $row->refuse('part', 'already used by another group');
            }
            $groups[$group->part->value] = $group;
        }
        if ($groups === []) {
            $group = new SuctionGroup(PartId::shared(PartKind::Group, '1'), SuctionHold::ByLoad);
            // A plant of several circuits that says no more of its compressors is run by their pressure.
            $groups[$group->part->value] = $several ? $group->heldByPressure() : $group;
        }
        foreach ($top->rows('compressors') as $place => $row) {
            $name = self::named($row, $groups);
            $groups[$name] = $groups[$name]->and($this->compressor($row, $place + 1));
        }

        return $groups;
    }

    /** @param  bool  $isOfSeveral  whether circuits share it: nobody of them calls it alone then */
    private function group(Section $row, int $number, bool $isOfSeveral): SuctionGroup
    {
        $row->only(['part', 'name', 'held_by', 'serves_others', 'design', ...$this->ofGroup]);
        $design = $row->section('design');
        $key = RackKey::SuctionSaturated;
        $design->only([$key->value]);

        return new SuctionGroup(
            PartRow::shared($row, PartKind::Group, $number),
            $row->word('held_by', SuctionHold::class) ??
                ($isOfSeveral ? SuctionHold::ByPressure : SuctionHold::ByLoad),
            $row->flag('serves_others') ?? false,
            [],
            $row->text('name') ?? '',
            $design->amount($key->value, $key->field()),
        );
    }

    private function compressor(Section $row, int $number): CompressorUnit
    {
        $row->only(['part', 'name', 'group', 'class', 'design', ...$this->ofCompressor]);
        $design = $row->section('design');
        $design->only([PartRow::CAPACITY, DesignKey::RatedCurrent->value, EnvelopeCorners::KEY]);

        return new CompressorUnit(
            PartRow::shared($row, PartKind::Compressor, $number),
            $row->text('name') ?? '',
            PartRow::capacity($design),
            $design->amount(DesignKey::RatedCurrent->value, DesignKey::RatedCurrent->field()),
            EnvelopeCorners::in($design),
            $row->word('class', CompressorClass::class),
        );
    }

    /**
     * @param  non-empty-array<string, SuctionGroup>  $groups
     * @return string which of the groups is named, by its part or as people call it; the first where none is
     */
    public static function named(Section $row, array $groups): string
    {
        $given = $row->text('group') ?? array_key_first($groups);
        if (isset($groups[$given])) {
            return $given;
        }
        foreach ($groups as $part => $group) {
            if ($group->name !== '' && $group->name === $given) {
                return $part;
            }
        }
        $allowed = array_map(static fn (SuctionGroup $one): string => $one->label(), array_values($groups));
        $row->refuse('group', 'got '.Reasons::shown($given).'; allowed: '.implode(', ', $allowed));

        return array_key_first($groups);
    }
}
