<?php

declare(strict_types=1);

namespace Metrum\Learning\Rack;

use Metrum\Installation\Branch;
use Metrum\Installation\Coil;
use Metrum\Installation\CompressorUnit;
use Metrum\Installation\HighSide;
use Metrum\Installation\Installation;
use Metrum\Installation\Load;
use Metrum\Installation\RackDesign;
use Metrum\Installation\SuctionGroup;
use Metrum\Twin\Dice;

/** What is known of a rack's plan by whoever visits it: plates and drawings are never complete, nor exact. */
final readonly class RackKnown
{
    /** How often each is known. */
    private const DIFFERENCE = 0.7;

    private const SUPERHEAT = 0.6;

    private const CAPACITY = 0.76;

    private const SET_POINT = 0.95;

    private const COIL_VOLUME = 0.3;

    private const DROP = 0.35;

    private const SPLIT = 0.62;

    private const RECEIVER = 0.7;

    private const CONDENSER = 0.3;

    private const LINES = 0.25;

    private const PLATE = 0.55;

    private const LEVEL = 0.6;

    private const SUCTION = 0.6;

    private const CONTROL = 0.92;

    public function __construct(private Dice $dice)
    {
    }

    public function of(Installation $plant): Installation
    {
        return new Installation(
            $this->highSide($plant->highSide),
            array_map($this->group(...), $plant->groups),
            array_map($this->branch(...), $plant->branches),
            $plant->atmosphere,
        );
    }

    private function highSide(HighSide $high): HighSide
    {
        $rack = $high->rack;
        $level = $this->known(self::LEVEL, $rack->level, 0.0);

        return new HighSide(
            $high->refrigerant,
            $high->condenser,
            $high->headPressureControl,
            $high->receiver,
            $this->known(self::SPLIT, $high->condenserSplit, 0.04),
            $high->coldestAmbient,
            $this->known(self::RECEIVER, $high->receiverVolume, 0.02),
            $this->known(self::CONDENSER, $high->condenserVolume, 0.06),
            $this->known(self::PLATE, $high->plateCharge, 0.03),
            rack: new RackDesign(
                $this->dice->chance(self::SUCTION) ? $rack->suction : null,
                $level,
                $level === null ? null : $rack->levelAmbient,
                $this->known(self::LINES, $rack->reclaimVolume, 0.08),
                $this->known(self::LINES, $rack->liquidVolume, 0.08),
            ),
        );
    }

    private function group(SuctionGroup $group): SuctionGroup
    {
        $dice = $this->dice;
        $units = array_map(
            fn (CompressorUnit $unit): CompressorUnit => new CompressorUnit(
                $unit->part,
                $unit->name,
                $this->known(0.8, $unit->capacity, 0.02),
                $dice->chance(0.65) ? $unit->ratedCurrent : null,
            ),
            $group->compressors,
        );

        return new SuctionGroup($group->part, $group->hold, $group->servesOthers, $units);
    }

    private function branch(Branch $branch): Branch
    {
        $dice = $this->dice;
        $load = $branch->load;
        $isControlKnown = $dice->chance(self::CONTROL);
        $isDifferenceKnown = $dice->chance(self::DIFFERENCE);
        $coils = array_map(
            fn (Coil $coil): Coil => new Coil(
                $coil->part,
                $isDifferenceKnown ? round(2 * (float) $coil->difference) / 2 : null,
                $coil->name,
                $coil->form,
                $this->known(0.5, $coil->capacity, 0.03),
            ),
            $branch->coils,
        );

        return new Branch(
            $branch->part,
            $branch->group,
            $coils,
            new Load(
                $load->kind,
                $isControlKnown ? $load->control : null,
                $load->defrost,
                $dice->chance(self::SET_POINT) ? $load->setPoint : null,
            ),
            $branch->feed,
            $branch->regulator,
            superheat: $dice->chance(self::SUPERHEAT) ? round(2 * (float) $branch->superheat) / 2 : null,
            subcooling: null,
            capacity: $this->known(self::CAPACITY, $branch->capacity, 0.03),
            coilVolume: $this->known(self::COIL_VOLUME, $branch->coilVolume, 0.08),
            suctionDrop: $this->known(self::DROP, $branch->suctionDrop, 0.1),
        );
    }

    /** @param  float  $off  share by which what is told is off */
    private function known(float $often, ?float $value, float $off): ?float
    {
        return $value === null || ! $this->dice->chance($often) ? null : $value * $this->dice->factor($off);
    }
}
