<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Inputs;

/** Liquid that a receiver can hold. */
final class ReceiverVolume
{
    /**
     * @return array{float, float} kg at the limit, kg where it is full
     *
     * @throws \Metrum\Bench\CannotBe outside the table
     */
    public static function holds(Inputs $given): array
    {
        $kelvin = $given->of('liquid_temperature_c');
        $density = $given->within(
            'liquid_temperature_c',
            static fn (): float => $given->refrigerant()->liquidDensity($kelvin),
        );
        $full = $given->of('receiver_volume_l') * $density;

        return [$given->of('fill_limit_fraction') * $full, $full];
    }

    /** The arithmetic in words. */
    public static function step(Inputs $given, float $capacity, float $full): string
    {
        return sprintf(
            'Full of liquid at %s: %s; %s of that = %s.',
            $given->degrees($given->of('liquid_temperature_c')),
            $given->kilograms($full),
            $given->percent($given->of('fill_limit_fraction')),
            $given->kilograms($capacity),
        );
    }
}
