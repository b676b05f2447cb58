<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Knowledge\Cause;

/** What a fault does to a plant where its cause is known: the same name has other arrows by another cause. */
final class DisorderByCause
{
    /** K of static superheat that a stem is set too far in or out at most. */
    private const SET_WRONG = 14.0;

    /** K that a loose bulb feels too warm at most. */
    private const LOOSE = 7.0;

    /** @param  float  $s  severity, 0 … 1; null where the cause changes nothing in the refrigerant's loop */
    public static function in(Machine $machine, Cause $cause, float $s): ?Machine
    {
        return match ($cause) {
            // A fan that stands leaves its part of the face without air; the others blow as before.
            Cause::FansStopped => $machine->with(coil: $machine->coil->scaled(1 - 0.8 * $s)),
            Cause::FaceDirty => $machine->with(coil: $machine->coil->with(1 - 0.82 * $s, 1 - 0.2 * $s)),
            Cause::AirPathBlocked => $machine->with(coil: $machine->coil->with(1 - 0.87 * $s)),
            Cause::CondenserFansStopped => $machine->with(condenser: $machine->condenser->scaled(1 - 0.7 * $s)),
            Cause::CondenserDirty => $machine->with(
                condenser: $machine->condenser->with(1 - 0.72 * $s, 1 - 0.25 * $s),
            ),
            Cause::AirRecirculating => $machine->with(condenser: $machine->condenser->with(1 - 0.75 * $s)),
            Cause::SetTooFarIn => $machine->with(
                feed: $machine->feed->turned((self::SET_WRONG * $s) / Feed::KELVIN_PER_TURN),
            ),
            Cause::ScreenPlugged => $machine->with(feed: $machine->feed->narrowed(1 - 0.88 * $s ** 0.75)),
            Cause::BulbChargeLost => $machine->with(feed: $machine->feed->weakened(1 - 0.9 * $s ** 0.75)),
            Cause::SetTooFarOut => $machine->with(
                feed: $machine->feed->turned((-0.5 * self::SET_WRONG * $s) / Feed::KELVIN_PER_TURN),
            ),
            Cause::BulbLoose => $machine->with(feed: $machine->feed->heldOpen(self::LOOSE * $s, 0.25 * $s)),
            Cause::StuckOpen => $machine->with(feed: $machine->feed->heldOpen(0.0, 0.3 + 0.7 * $s)),
            Cause::DrierClogged => $machine->with(
                drierFriction: $machine->drierFriction + Disorder::blocking($machine, $s),
            ),
            Cause::OutletValvePartShut => $machine->with(
                outletFriction: $machine->outletFriction + Disorder::blocking($machine, $s),
            ),
            Cause::SolenoidHalfOpen => $machine->with(
                liquidFriction: $machine->liquidFriction + Disorder::blocking($machine, $s),
            ),
            Cause::ValvesLeaking,
            Cause::RingsWorn,
            Cause::SolenoidWithoutPower,
            Cause::SolenoidStuck,
            Cause::DoorsOpen,
            Cause::ProductHot,
            Cause::InletLeaks,
            Cause::SupplyLow,
            Cause::PumpWeak,
            Cause::Distribution,
            Cause::DumpLeaks,
            Cause::HotGasValve,
            Cause::HeadLow,
            Cause::EndsEarly,
            Cause::TooThick,
            Cause::TooThin,
            Cause::CoolingWaterLow => null,
        };
    }
}
