<?php

declare(strict_types=1);

namespace Metrum\Installation;

use Metrum\Quantity\Unit;

/** Writes a plant as a document; what InstallationReader reads back is the same. */
final class InstallationWriter
{
    /** As it is stored. @param  bool  $withAir  with the air it stands in, where nobody else knows that */
    public static function stored(Installation $plant, bool $withAir = true): string
    {
        $document = ['version' => InstallationReader::VERSION] + self::document($plant);
        if (! $withAir && is_array($document['system'])) {
            unset($document['system'][CircuitReader::ATMOSPHERE]);
        }

        return json_encode($document, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
    }

    /**
     * @param  array<string, array<string, mixed>>  $found  what else is said of circuits, by their part
     * @return array<string, mixed>
     */
    public static function document(Installation $plant, array $found = []): array
    {
        // What all circuits share is what the first one draws on.
        $shared = $plant->circuit($plant->branches[0]->part);
        $compressors = [];
        foreach ($plant->groups as $group) {
            foreach ($group->compressors as $unit) {
                $compressors[] = self::compressor($unit, $group);
            }
        }

        return self::said([
            'system' => self::words($shared, isShared: true) + self::atmosphere($shared),
            'design' => self::said(self::figures($shared, isShared: true) + self::rack($plant->highSide->rack)),
            'groups' => array_map(self::group(...), $plant->groups),
            'compressors' => $compressors,
            'circuits' => array_map(
                static fn (Branch $one): array => self::branch($one, $plant->circuit($one->part)) +
                    ($found[$one->part->value] ?? []),
                $plant->branches,
            ),
        ]);
    }

    /** @return array<string, mixed> */
    private static function group(SuctionGroup $group): array
    {
        $key = RackKey::SuctionSaturated;

        return self::said([
            'part' => $group->part->value,
            'name' => $group->name,
            'held_by' => $group->hold->value,
            'serves_others' => $group->servesOthers,
            'design' => self::said([$key->value => self::amount($key, $group->suction)]),
        ]);
    }

    /** @return array<string, mixed> */
    private static function compressor(CompressorUnit $unit, SuctionGroup $group): array
    {
        return self::said([
            'part' => $unit->part->value,
            'name' => $unit->name,
            'group' => $group->part->value,
            'class' => $unit->class?->value,
            'design' => self::said([
                PartRow::CAPACITY => self::capacity($unit->capacity),
                DesignKey::RatedCurrent->value => self::amount(DesignKey::RatedCurrent, $unit->ratedCurrent),
                EnvelopeCorners::KEY => EnvelopeCorners::written($unit->corners),
            ]),
        ]);
    }

    /** @return array<string, mixed> */
    private static function branch(Branch $branch, Circuit $circuit): array
    {
        $design = self::figures($circuit, isShared: false) +
            [
                PartRow::CAPACITY => self::capacity($branch->capacity),
                RackKey::CoilVolume->value => self::amount(RackKey::CoilVolume, $branch->coilVolume),
                RackKey::SuctionDrop->value => self::amount(RackKey::SuctionDrop, $branch->suctionDrop),
            ];
        unset($design[DesignKey::EvaporatorTd->value]);

        return self::said([
            'part' => $branch->part->value,
            'group' => $branch->group->value,
            'system' => self::words($circuit, isShared: false),
            'design' => self::said($design),
            'coils' => array_map(self::coil(...), $branch->coils),
        ]);
    }

    /** @return array<string, mixed> */
    private static function coil(Coil $coil): array
    {
        return self::said([
            'part' => $coil->part->value,
            'name' => $coil->name,
            'form' => $coil->form?->value,
            PartRow::CAPACITY => self::capacity($coil->capacity),
            DesignKey::EvaporatorTd->value => self::amount(DesignKey::EvaporatorTd, $coil->difference),
        ]);
    }

    /** @return array<string, float|int|null> */
    private static function rack(RackDesign $rack): array
    {
        return [
            RackKey::SuctionSaturated->value => self::amount(RackKey::SuctionSaturated, $rack->suction),
            RackKey::LevelReference->value => self::amount(RackKey::LevelReference, $rack->level),
            RackKey::LevelReferenceAmbient->value => self::amount(RackKey::LevelReferenceAmbient, $rack->levelAmbient),
            RackKey::ReclaimVolume->value => self::amount(RackKey::ReclaimVolume, $rack->reclaimVolume),
            RackKey::LiquidLinesVolume->value => self::amount(RackKey::LiquidLinesVolume, $rack->liquidVolume),
        ];
    }

    /** In the unit of a file. @param  ?float  $si  null: not known */
    private static function amount(DesignKey|RackKey $key, ?float $si): float|int|null
    {
        return $si === null ? null : CircuitWriter::number($key->field()->fileUnit()->fromSi($si));
    }

    /** @return array<string, string|bool|float|int> */
    private static function words(Circuit $circuit, bool $isShared): array
    {
        $wanted = array_filter(
            SystemKey::cases(),
            static fn (SystemKey $key): bool => $key->isShared() === $isShared,
        );

        return array_intersect_key(CircuitWriter::system($circuit), array_flip(array_column($wanted, 'value')));
    }

    /** @return array<string, float|int|null> but for what belongs to a compressor */
    private static function figures(Circuit $circuit, bool $isShared): array
    {
        $wanted = array_filter(
            DesignKey::cases(),
            static fn (DesignKey $key): bool => $key->isShared() === $isShared && $key !== DesignKey::RatedCurrent,
        );

        return array_intersect_key(CircuitWriter::design($circuit), array_flip(array_column($wanted, 'value')));
    }

    /** @return array<string, float|int|string|bool> */
    private static function atmosphere(Circuit $circuit): array
    {
        return array_intersect_key(CircuitWriter::system($circuit), [CircuitReader::ATMOSPHERE => true]);
    }

    private static function capacity(?float $watts): float|int|null
    {
        return $watts === null
            ? null
            : CircuitWriter::number(Unit::Kilowatt->fromSi($watts));
    }

    /**
     * @param  array<string, mixed>  $all
     * @return array<string, mixed> without what is not known
     */
    private static function said(array $all): array
    {
        return array_filter($all, static fn (mixed $one): bool => $one !== null && $one !== [] && $one !== '');
    }
}
