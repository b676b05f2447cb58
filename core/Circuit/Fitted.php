<?php

declare(strict_types=1);

namespace Metrum\Circuit;

/** Whether a thing can be asked of a circuit at all: no receiver, no receiver level. What is not known may be there. */
final class Fitted
{
    public static function asks(Circuit $circuit, Reading|Observation|Test $key): bool
    {
        $not = static fn (?\UnitEnum $given, \UnitEnum ...$wanted): bool => $given !== null &&
            ! in_array($given, $wanted, true);

        return match ($key) {
            Observation::HeadPressureValveBypassLine => ! $not(
                $circuit->headPressureControl,
                HeadPressureControl::FloodingValve,
            ),
            Observation::SuctionLineAfterHotGasValve => $circuit->kind === Kind::IceMachine ||
                ! $not($circuit->defrost, DefrostKind::HotGas),
            Observation::RegulatorStem, Reading::EvaporatorPressure => $circuit->regulator !== false,
            Observation::ReceiverFeel,
            Reading::ReceiverLevel,
            Reading::ReceiverPressure,
            Reading::ReceiverOutletTemperature => $circuit->hasReceiver(),
            Observation::DefrostClock, Observation::LastDefrost => $circuit->defrost !== DefrostKind::None,
            Observation::CondenserFace,
            Observation::CondenserFans,
            Test::CondenserWashed,
            Reading::CondenserAirOutTemperature => $circuit->condenser !== CondenserPlace::Water,
            Test::PowerToHeaters, Reading::HeaterCurrent, Reading::HeaterRatedCurrent => ! $not(
                $circuit->defrost,
                DefrostKind::Electric,
            ),
            Test::CircuitIsolated => $circuit->kind?->isShared() === true,
            Test::ValveBulbWarmed, Test::ValveBulbIced => ! $not($circuit->metering, Metering::Txv),
            Test::ValveScreen => $circuit->metering !== Metering::Capillary,
            Reading::FreezeTime, Reading::HarvestTime, Reading::WaterTemperature => $circuit->kind ===
                Kind::IceMachine,
            Reading::FanDelaySet, Reading::FanDelaySensor => $circuit->isLowTemperature(),
            default => true,
        };
    }
}
