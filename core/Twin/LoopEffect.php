<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Installation\HeadPressureControl;
use Metrum\Installation\Metering;

/** What a fault changes in the refrigerant's loop. How far it goes at full severity stands in the fault's file. */
enum LoopEffect: string
{
    case ShortOfCharge = 'short_of_charge';
    case ShortOfWinterCharge = 'short_of_winter_charge';
    case Overcharged = 'overcharged';
    case ForeignGas = 'foreign_gas';
    case CondenserAir = 'condenser_air';
    case CoilAir = 'coil_air';
    case CoilIced = 'coil_iced';
    case FeedNarrowed = 'feed_narrowed';
    case FeedHeldOpen = 'feed_held_open';
    case FeedHunting = 'feed_hunting';
    case LiquidFriction = 'liquid_friction';
    case SuctionFriction = 'suction_friction';
    case LineGain = 'line_gain';
    case CompressorWorn = 'compressor_worn';
    case HeadBypassing = 'head_bypassing';
    case HeadLowered = 'head_lowered';
    case Regulating = 'regulating';
    case HotGas = 'hot_gas';
    case SolenoidShut = 'solenoid_shut';

    /** Whether the plant has what it changes. */
    public function isPossible(Machine $machine): bool
    {
        return match ($this) {
            // A rack's compressors are the group's affair: the circuit meets a suction that is held.
            self::CompressorWorn => $machine->groupSuction === null,
            self::FeedHeldOpen, self::FeedHunting => $machine->feed->kind !== Metering::Capillary,
            self::ShortOfWinterCharge, self::HeadBypassing => $machine->head->kind ===
                HeadPressureControl::FloodingValve,
            self::HeadLowered => $machine->head->kind !== HeadPressureControl::None,
            self::Regulating => $machine->regulatorSetting !== null,
            self::ShortOfCharge,
            self::Overcharged,
            self::ForeignGas,
            self::CondenserAir,
            self::CoilAir,
            self::CoilIced,
            self::FeedNarrowed,
            self::LiquidFriction,
            self::SuctionFriction,
            self::LineGain,
            self::HotGas,
            self::SolenoidShut => true,
        };
    }

    /** Whether refrigerant is missing, whatever for. */
    public function isShortage(): bool
    {
        return $this === self::ShortOfCharge || $this === self::ShortOfWinterCharge;
    }

    /** Whether there is too much refrigerant. */
    public function isSurplus(): bool
    {
        return $this === self::Overcharged;
    }

    /** Whether it is the expansion valve that feeds otherwise. */
    public function isOfFeed(): bool
    {
        return in_array($this, [self::FeedNarrowed, self::FeedHeldOpen, self::FeedHunting], true);
    }

    /** How many numbers it takes. */
    public function takes(): int
    {
        return match ($this) {
            self::LiquidFriction => 0,
            self::ShortOfCharge,
            self::Overcharged,
            self::ForeignGas,
            self::CondenserAir,
            self::CoilAir,
            self::LineGain,
            self::CompressorWorn,
            self::HeadBypassing,
            self::HeadLowered,
            self::Regulating,
            self::HotGas,
            self::SolenoidShut => 1,
            self::CoilIced, self::FeedNarrowed, self::FeedHunting, self::SuctionFriction => 2,
            self::ShortOfWinterCharge, self::FeedHeldOpen => 3,
        };
    }
}
