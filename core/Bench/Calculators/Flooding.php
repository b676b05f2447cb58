<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Given;

/** Liquid that a flooded condenser holds beside what its gas would weigh. */
final class Flooding
{
    /**
     * Mass = flooded share × volume × (liquid density, bubble − vapour density, dew).
     *
     * @return array{float, float, float} kg, liquid and vapour density in kg/m³
     *
     * @throws \Metrum\Bench\CannotBe outside the table
     */
    public static function held(Given $given, string $fraction, string $temperature): array
    {
        $kelvin = $given->of($temperature);
        $fluid = $given->refrigerant();
        $liquid = $given->within($temperature, static fn (): float => $fluid->liquidDensity($kelvin));
        $vapour = $given->within($temperature, static fn (): float => $fluid->vapourDensity($kelvin));
        $volume = $given->of('condenser_internal_volume_l');

        return [$given->of($fraction) * $volume * ($liquid - $vapour), $liquid, $vapour];
    }
}
