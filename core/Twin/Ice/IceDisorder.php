<?php

declare(strict_types=1);

namespace Metrum\Twin\Ice;

use Metrum\Knowledge\Cause;
use Metrum\Knowledge\Fault;
use Metrum\Twin\Disorder;

/** What a fault does to an ice machine, by severity 0 … 1: to plate and water, else to the refrigerant's loop. */
final class IceDisorder
{
    /** By which ice is thicker where the water still runs, at full severity. */
    private const UNEVEN = 0.7;

    /** @param  float  $severity  0 … 1 */
    public static function in(IceMachine $machine, Fault $fault, float $severity, ?Cause $cause = null): IceMachine
    {
        $s = max(0.0, min(1.0, $severity));
        $ailment = IceAilment::of($fault, $cause);

        return $ailment === null
            ? $machine->looping(Disorder::in($machine->loop, $fault, $s, $cause))
            : self::changed($machine, $ailment, $s);
    }

    private static function changed(IceMachine $machine, IceAilment $ailment, float $s): IceMachine
    {
        $plate = $machine->plate;
        [$first, $second] = [...$ailment->by, 0.0];

        return match ($ailment->effect) {
            IceEffect::Scaled => $machine->plated($plate->with(scale: $plate->scale + $first * $s)),
            IceEffect::Thicker => self::thicker($machine, 1 + $first * $s),
            IceEffect::Inflow => $machine->plated($plate->with(inflow: $first * $s * $plate->batch)),
            IceEffect::Outflow => $machine->plated($plate->with(outflow: $first * $s * $plate->batch)),
            IceEffect::WaterShort => $machine->plated($plate->with(supply: 1 - $first * $s)),
            IceEffect::Film => $machine->plated(
                $plate->with(
                    film: $plate->film * (1 - $first * $s),
                    ends: $plate->ends * (1 - $second * $s),
                    uneven: self::UNEVEN * $s,
                ),
            ),
            IceEffect::HotGasShort => $machine->plated($plate->with(hotGas: $plate->hotGas * (1 - $first * $s))),
            IceEffect::HeadFallen => $machine
                ->plated($plate->with(hotGas: $plate->hotGas * (1 - $first * $s)))
                ->cooler($second * $s),
            IceEffect::Left => $machine->plated($plate->with(left: $first * $s)),
        };
    }

    /** A freeze that ends with more ice or less on the plate. */
    private static function thicker(IceMachine $machine, float $share): IceMachine
    {
        return $machine->plated($machine->plate->with(ends: $machine->plate->ends * $share));
    }
}
