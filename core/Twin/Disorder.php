<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Knowledge\Cause;
use Metrum\Knowledge\Fault;

/**
 * What a fault does to a plant, by severity 0 … 1: 0.2 is just noticeable, 1 a plant that no longer does its work.
 *
 * Which fault changes what, and how far, stands in its file ("twin"). Faults of boxes, clocks and controls change
 * nothing in the refrigerant loop at a given box temperature; the simulation in time carries them.
 */
final class Disorder
{
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
        $ailment = Ailment::of($fault);

        return $ailment->loop === null ? $machine : self::changed($machine, $ailment->loop, $ailment->by, $s);
    }

    /**
     * @param  list<float>  $by  as the effect takes them
     * @param  float  $s  severity, 0 … 1
     */
    private static function changed(Machine $machine, LoopEffect $effect, array $by, float $s): Machine
    {
        $design = $machine->design;
        [$first, $second, $third] = [...$by, 0.0, 0.0, 0.0];

        return match ($effect) {
            LoopEffect::ShortOfCharge => $machine->with(charge: self::short($machine, $first, $s)),
            // Enough for summer: what the flooded condenser would take is missing, in the end a little more.
            LoopEffect::ShortOfWinterCharge => $machine->with(
                charge: $machine->charge -
                    min($third, $first + $second * $s) * max(0.0, $machine->charge - $design->summerCharge),
            ),
            LoopEffect::Overcharged => $machine->with(charge: self::over($machine, $first, $s)),
            LoopEffect::ForeignGas => $machine->with(inert: $machine->inert + $first * $s * $design->condensing),
            LoopEffect::CondenserAir => $machine->with(condenser: $machine->condenser->with(1 - $first * $s)),
            LoopEffect::CoilAir => $machine->with(coil: $machine->coil->with(1 - $first * $s)),
            LoopEffect::CoilIced => $machine->with(coil: $machine->coil->with(1 - $first * $s, 1 - $second * $s)),
            LoopEffect::FeedNarrowed => $machine->with(feed: $machine->feed->narrowed(1 - $first * $s ** $second)),
            LoopEffect::FeedHeldOpen => $machine->with(
                feed: $machine->feed->heldOpen($first * $s, $second + $third * $s),
            ),
            LoopEffect::FeedHunting => $machine->with(
                feed: $machine->feed->hunting(1 - $first * $s, $machine->feed->bulbLag * (1 + $second * $s)),
            ),
            LoopEffect::LiquidFriction => $machine->with(
                drierFriction: $machine->drierFriction + self::blocking($machine, $s),
            ),
            LoopEffect::SuctionFriction => $machine->with(
                suctionFriction: $machine->suctionFriction + self::throttling($machine, $first * $s ** $second),
            ),
            LoopEffect::LineGain => $machine->with(suctionGain: $machine->suctionGain * (1 + $first * $s)),
            LoopEffect::CompressorWorn => $machine->with(compressor: $machine->compressor->worn($first * $s)),
            LoopEffect::HeadBypassing => $machine->with(head: $machine->head->bypassing($first * $s)),
            LoopEffect::HeadLowered => $machine->with(head: $machine->head->lowered($first * $s)),
            LoopEffect::Regulating => $machine->regulating($first * $s),
            LoopEffect::HotGas => $machine->with(hotGas: $machine->hotGas + $first * $s * $design->massFlow),
            LoopEffect::SolenoidShut => $machine->with(solenoidOpen: $s < $first),
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

    /** Friction at which the suction line loses such a share of the evaporating pressure at full flow. */
    private static function throttling(Machine $machine, float $share): float
    {
        $evaporating = $machine->design->evaporating;
        $fluid = $machine->fluid;

        return ($share * $evaporating * $fluid->vapourDensity($fluid->dewTemperature($evaporating))) /
            $machine->design->massFlow ** 2;
    }

    /** The receiver is empty soon; then the missing gas shows, down to a little over half of what circulates. */
    private static function short(Machine $machine, float $share, float $s): float
    {
        $circulating = $machine->charge - $machine->design->buffer;

        return $machine->charge - min(1.0, $s / 0.1) * $machine->design->buffer - $share * $s * $circulating;
    }

    private static function over(Machine $machine, float $share, float $s): float
    {
        $heavy = $machine->fluid->liquidDensity($machine->design->ambient + 8);

        return $machine->charge +
            min(1.0, $s / 0.1) * max(0.0, 0.97 * $machine->design->full - $machine->charge) +
            $share * $s * $machine->condenserVolume * $heavy;
    }
}
