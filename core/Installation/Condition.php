<?php

declare(strict_types=1);

namespace Metrum\Installation;

/** What can be true, false or not known of a plant and its weather, by the names that the data files use. */
enum Condition: string
{
    case Cold = 'cold';
    case ColdFlooding = 'cold_flooding';
    case FloodingValve = 'flooding_valve';
    case Outdoor = 'outdoor';
    case AirCooled = 'air_cooled';
    case Regulator = 'regulator';
    case Receiver = 'receiver';
    case NoReceiver = 'no_receiver';
    case HotGas = 'hot_gas';
    case Electric = 'electric';
    case HasDefrost = 'has_defrost';
    case HeatedDefrost = 'heated_defrost';
    case IceMachine = 'ice_machine';
    /** Ice machines that freeze and harvest, and those that make flakes without end. */
    case Batches = 'batches';
    case Flakes = 'flakes';
    case FloatFill = 'float_fill';
    case NoFloat = 'no_float';
    case AirConditioner = 'air_conditioner';
    case Capillary = 'capillary';

    /** But of an ice machine, whose capillary plugs as a valve's screen does. */
    case CapillaryOfBox = 'capillary_of_box';
    case ThermostaticValve = 'thermostatic_valve';
    case Shared = 'shared';
    case SharedSuction = 'shared_suction';
    case LowTemperature = 'low_temperature';
    case ThermostatControl = 'thermostat_control';
    case RatedCurrent = 'rated_current';
    case SetPoint = 'set_point';

    /** Seen from the board of a rack, never from one circuit. */
    case RackBoard = 'rack_board';

    /** Of the moment, not of the plant: what it was doing when something was seen. */
    case Unsettled = 'unsettled';
    case InDefrost = 'in_defrost';
    case FansRest = 'fans_rest';
    case Calling = 'calling';
    case Content = 'content';

    /**
     * Whether it holds; null where that is not known.
     *
     * @param  ?bool  $cold  whether the air is so cold that head pressure control has to hold; null where not known
     */
    public function holds(Circuit $circuit, ?bool $cold = null): ?bool
    {
        return match ($this) {
            self::Cold => $cold,
            self::ColdFlooding => $circuit->headPressureControl === HeadPressureControl::FloodingValve
                ? $cold
                : false,
            self::FloodingValve => self::is($circuit->headPressureControl, HeadPressureControl::FloodingValve),
            self::Outdoor => self::is($circuit->condenser, CondenserPlace::AirOutdoor),
            self::AirCooled => self::isNot($circuit->condenser, CondenserPlace::Water),
            self::Regulator => $circuit->regulator,
            self::Receiver => $circuit->hasReceiver(),
            self::NoReceiver => ! $circuit->hasReceiver(),
            self::HotGas => $circuit->cools(LoadKind::IceMachine)
                ? $circuit->makesBatches()
                : self::is($circuit->defrost, DefrostKind::HotGas),
            self::Electric => self::is($circuit->defrost, DefrostKind::Electric),
            self::HasDefrost => self::isNot($circuit->defrost, DefrostKind::None),
            self::IceMachine => self::is($circuit->kind?->load(), LoadKind::IceMachine),
            self::Batches => $circuit->makesBatches(),
            self::Flakes => $circuit->cools(LoadKind::IceMachine) && ! $circuit->makesBatches(),
            self::FloatFill => $circuit->cools(LoadKind::IceMachine)
                ? self::is($circuit->ice->fill, WaterFill::Float)
                : false,
            self::NoFloat => $circuit->cools(LoadKind::IceMachine) && $circuit->ice->fill !== WaterFill::Float,
            self::AirConditioner => self::is($circuit->kind?->load(), LoadKind::Air),
            self::Capillary => self::is($circuit->metering, Metering::Capillary),
            self::CapillaryOfBox => $circuit->cools(LoadKind::IceMachine)
                ? false
                : self::is($circuit->metering, Metering::Capillary),
            self::ThermostaticValve => self::is($circuit->metering, Metering::Txv),
            self::Shared => $circuit->isShared(),
            self::SharedSuction => $circuit->regulator === true || $circuit->isShared(),
            self::LowTemperature => $circuit->isLowTemperature(),
            self::ThermostatControl => $circuit->boxControl?->isByThermostat(),
            self::RatedCurrent => $circuit->design->ratedCurrent !== null,
            self::SetPoint => $circuit->design->boxSetPoint !== null,
            self::RackBoard => false,
            self::HeatedDefrost => $circuit->defrost === null ? null : $circuit->defrost->isHeated(),
            self::Unsettled, self::InDefrost, self::FansRest, self::Calling, self::Content => null,
        };
    }

    private static function is(?\UnitEnum $given, \UnitEnum $wanted): ?bool
    {
        return $given === null ? null : $given === $wanted;
    }

    private static function isNot(?\UnitEnum $given, \UnitEnum $other): ?bool
    {
        return $given === null ? null : $given !== $other;
    }
}
