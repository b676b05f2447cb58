<?php

declare(strict_types=1);

namespace Metrum\Circuit;

/** Something looked at, heard or felt; answered by a word. */
enum Observation: string
{
    case SightGlass = 'sight_glass';
    case FrostCoil = 'frost_coil';
    case FrostSuctionLine = 'frost_suction_line';
    case FrostValveOutlet = 'frost_valve_outlet';
    case EvaporatorFans = 'evaporator_fans';
    case EvaporatorFace = 'evaporator_face';
    case CondenserFans = 'condenser_fans';
    case CondenserFace = 'condenser_face';
    case Compressor = 'compressor';
    case LiquidSolenoid = 'liquid_solenoid';
    case ValveSound = 'valve_sound';
    case ReceiverFeel = 'receiver_feel';
    case LiquidLineFeel = 'liquid_line_feel';
    case SuctionLineAfterHotGasValve = 'suction_line_after_hot_gas_valve';
    case OilLevel = 'oil_level';
    case OilStains = 'oil_stains';
    case Doors = 'doors';
    case Product = 'product';
    case Drain = 'drain';
    case DefrostClock = 'defrost_clock';
    case LastDefrost = 'last_defrost';
    case HeadPressureValveBypassLine = 'head_pressure_valve_bypass_line';
    case RegulatorStem = 'regulator_stem';

    /** @return list<Word> what it may be answered with */
    public function words(): array
    {
        return match ($this) {
            self::SightGlass => [Word::Clear, Word::Bubbles, Word::NoLineVisible, Word::NotFitted],
            self::FrostCoil => [Word::None, Word::InletOnly, Word::Even, Word::Blocked, Word::OutletOnly],
            self::FrostSuctionLine => [Word::None, Word::ToCoilOutlet, Word::ToCompressor],
            self::FrostValveOutlet => [Word::None, Word::ValveBody, Word::LineAfterValve],
            self::EvaporatorFans => [Word::AllRunning, Word::SomeStopped, Word::AllStopped, Word::Backwards],
            self::EvaporatorFace => [Word::Clean, Word::Dirty],
            self::CondenserFans => [Word::AllRunning, Word::SomeStopped, Word::AllStopped],
            self::CondenserFace => [Word::Clean, Word::Dirty, Word::Recirculating],
            self::Compressor => [
                Word::Running,
                Word::OffOnLowPressure,
                Word::OffOnHighPressure,
                Word::OffOnOverload,
                Word::OffOnOil,
                Word::OffOnThermostat,
                Word::ShortCycling,
                Word::WillNotStart,
            ],
            self::LiquidSolenoid => [Word::EnergisedOpen, Word::EnergisedShut, Word::NotEnergised],
            self::ValveSound => [Word::Steady, Word::HissingGas, Word::Surging, Word::Silent],
            self::ReceiverFeel => [
                Word::WarmBottomCoolLiquid,
                Word::SameAllOver,
                Word::HotterThanCondenserOutlet,
            ],
            self::LiquidLineFeel => [
                Word::NoChange,
                Word::ColdAfterDrier,
                Word::ColdAfterRestriction,
                Word::Hot,
            ],
            self::SuctionLineAfterHotGasValve => [Word::Cold, Word::Hot],
            self::OilLevel => [Word::Normal, Word::Low, Word::Foaming, Word::High],
            self::OilStains => [Word::None, Word::Found],
            self::Doors => [Word::ShutAndSealing, Word::Leaking, Word::LeftOpen],
            self::Product => [Word::Normal, Word::HotOrNewLoad, Word::StackedInAirPath],
            self::Drain => [Word::Clear, Word::BlockedOrFrozen],
            self::DefrostClock => [Word::RightTime, Word::WrongTime, Word::NotTurning],
            self::LastDefrost => [Word::ClearedCoil, Word::LeftIce, Word::DidNotRun, Word::RanTooLong],
            self::HeadPressureValveBypassLine => [Word::Cold, Word::Hot],
            self::RegulatorStem => [Word::Automatic, Word::Manual],
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::FrostCoil => 'Frost on the coil',
            self::FrostSuctionLine => 'Frost on the suction line',
            self::FrostValveOutlet => 'Frost at the expansion valve',
            self::EvaporatorFans => 'Coil fans',
            self::EvaporatorFace => 'Coil face',
            self::ValveSound => 'Sound at the valve',
            self::ReceiverFeel => 'Receiver, by hand',
            self::LiquidLineFeel => 'Liquid line, by hand',
            self::SuctionLineAfterHotGasValve => 'Stub after the hot gas valve',
            self::Doors => 'Doors and gaskets',
            self::HeadPressureValveBypassLine => 'Bypass line of the head pressure valve',
            self::RegulatorStem => 'Regulator, opening stem',
            default => ucfirst(str_replace('_', ' ', $this->value)),
        };
    }
}
