<?php

declare(strict_types=1);

namespace Metrum\Plant;

use Metrum\Circuit\Cause;
use Metrum\Circuit\Fault;
use Metrum\Circuit\HeadPressureControl;
use Metrum\Circuit\Metering;

/**
 * What a fault does to a plant, by severity 0 … 1: 0.2 is just noticeable, 1 a plant that no longer does its work.
 *
 * Faults of boxes, clocks and controls change nothing in the refrigerant loop at a given box temperature; the
 * simulation in time carries them.
 */
final class Disorder
{
    /** Whether the refrigerant loop itself shows the fault. */
    public static function showsInLoop(Fault $fault, Machine $machine): bool
    {
        return match ($fault) {
            Fault::Undercharge,
            Fault::Overcharge,
            Fault::NonCondensables,
            Fault::ValveUnderfeeding,
            Fault::LiquidLineRestriction,
            Fault::SuctionRestriction,
            Fault::EvaporatorAirflowLow,
            Fault::EvaporatorIced,
            Fault::CondenserAirflowLow,
            Fault::SuctionLineWarm,
            Fault::HotGasLeaking,
            Fault::LiquidSolenoidShut => true,
            // A rack's compressors are the group's affair: the circuit meets a suction that is held.
            Fault::CompressorInefficient => $machine->groupSuction === null,
            Fault::ValveOverfeeding, Fault::ValveHunting => $machine->feed->kind !== Metering::Capillary,
            Fault::WinterUndercharge, Fault::HeadPressureValveBypassing => $machine->head->kind ===
                HeadPressureControl::FloodingValve,
            Fault::HeadPressureLow => $machine->head->kind !== HeadPressureControl::None,
            Fault::RegulatorSetHigh, Fault::RegulatorSetLow => $machine->regulatorSetting !== null,
            default => false,
        };
    }

    /** Whether there are plants whose refrigerant loop shows it. */
    public static function isOfLoop(Fault $fault): bool
    {
        return match ($fault) {
            Fault::NoFault, Fault::OilReturnPoor, Fault::WaterFeedFault, Fault::ExcessLoad => false,
            default => ! self::showsInTime($fault),
        };
    }

    /** Whether the fault shows only in time: boxes, clocks and controls. */
    public static function showsInTime(Fault $fault): bool
    {
        return match ($fault) {
            Fault::ExcessLoad,
            Fault::ThermostatWrong,
            Fault::LowPressureControlWrong,
            Fault::FanDelayHolding,
            Fault::DefrostClockWrong,
            Fault::DefrostHeaterFailed,
            Fault::DefrostNotTerminating,
            Fault::DefrostTooFew,
            Fault::DrainBlocked => true,
            default => false,
        };
    }

    /**
     * @param  float  $severity  0 … 1
     * @param  ?Cause  $cause  of this fault; null: as it usually is
     */
    public static function in(Machine $machine, Fault $fault, float $severity, ?Cause $cause = null): Machine
    {
        $s = max(0.0, min(1.0, $severity));
        $byCause = $cause === null ? null : DisorderByCause::in($machine, $cause, $s);
        if ($byCause !== null) {
            return $byCause;
        }
        $design = $machine->design;
        $flow = $design->massFlow;
        $fluid = $machine->fluid;

        return match ($fault) {
            Fault::Undercharge => $machine->with(charge: self::short($machine, $s)),
            // Enough for summer: what the flooded condenser would take is missing, in the end a little more.
            Fault::WinterUndercharge => $machine->with(
                charge: $machine->charge -
                    min(1.15, 0.3 + 0.9 * $s) * max(0.0, $machine->charge - $design->summerCharge),
            ),
            Fault::Overcharge => $machine->with(charge: self::over($machine, $s)),
            Fault::NonCondensables => $machine->with(inert: $machine->inert + 0.28 * $s * $design->condensing),
            Fault::CondenserAirflowLow => $machine->with(condenser: $machine->condenser->with(1 - 0.78 * $s)),
            Fault::EvaporatorAirflowLow => $machine->with(coil: $machine->coil->with(1 - 0.85 * $s)),
            Fault::EvaporatorIced => $machine->with(coil: $machine->coil->with(1 - 0.85 * $s, 1 - 0.45 * $s)),
            Fault::ValveUnderfeeding => $machine->with(feed: $machine->feed->narrowed(1 - 0.88 * $s ** 0.75)),
            Fault::ValveOverfeeding => $machine->with(feed: $machine->feed->heldOpen(6.0 * $s, 0.3 + 0.7 * $s)),
            Fault::ValveHunting => $machine->with(
                feed: $machine->feed->hunting(1 - 0.82 * $s, $machine->feed->bulbLag * (1 + 7 * $s)),
            ),
            Fault::LiquidLineRestriction => $machine->with(
                drierFriction: $machine->drierFriction + self::blocking($machine, $s),
            ),
            Fault::SuctionRestriction => $machine->with(
                suctionFriction: $machine->suctionFriction +
                    (0.85 *
                        $s ** 1.3 *
                        $design->evaporating *
                        $fluid->vapourDensity($fluid->dewTemperature($design->evaporating))) /
                        $flow ** 2,
            ),
            Fault::SuctionLineWarm => $machine->with(suctionGain: $machine->suctionGain * (1 + 9 * $s)),
            Fault::CompressorInefficient => $machine->with(compressor: $machine->compressor->worn(0.85 * $s)),
            Fault::HeadPressureValveBypassing => $machine->with(head: $machine->head->bypassing(0.35 * $s)),
            Fault::HeadPressureLow => $machine->with(head: $machine->head->lowered(35 * $s)),
            Fault::RegulatorSetHigh => $machine->regulating(11 * $s),
            Fault::RegulatorSetLow => $machine->regulating(-14 * $s),
            Fault::HotGasLeaking => $machine->with(hotGas: $machine->hotGas + 0.35 * $s * $flow),
            Fault::LiquidSolenoidShut => $machine->with(solenoidOpen: $s < 0.3),
            default => $machine,
        };
    }

    /** Friction of something half shut in the liquid line: it begins where it eats the subcooling. */
    public static function blocking(Machine $machine, float $s): float
    {
        $design = $machine->design;
        $density = $machine->fluid->liquidDensity($design->ambient + 8);

        return (1.25 * $s ** 1.5 * ($design->condensing - $design->evaporating) * $density) /
            $design->massFlow ** 2;
    }

    /** The receiver is empty soon; then the missing gas shows, down to a little over half of what circulates. */
    private static function short(Machine $machine, float $s): float
    {
        $circulating = $machine->charge - $machine->design->buffer;

        return $machine->charge - min(1.0, $s / 0.1) * $machine->design->buffer - 0.5 * $s * $circulating;
    }

    private static function over(Machine $machine, float $s): float
    {
        $heavy = $machine->fluid->liquidDensity($machine->design->ambient + 8);

        return $machine->charge +
            min(1.0, $s / 0.1) * max(0.0, 0.97 * $machine->design->full - $machine->charge) +
            0.36 * $s * $machine->condenserVolume * $heavy;
    }
}
