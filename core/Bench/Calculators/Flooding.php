<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Inputs;

/** Liquid that a flooded condenser holds beside what its gas would weigh. */
final class Flooding
{
    /** Share of a condenser that is flooded at most. */
    private const MOST = 0.95;

    /**
     * Share of the condenser held full of liquid so that the rest just rejects the heat at the pressure held:
     * 1 − (split × load share) ÷ (least condensing − ambient), within 0 … 0.95 (knowledge.md §8).
     *
     * @param  float  $split  at design, K
     * @param  float  $load  heat rejected while it runs ÷ heat at design
     * @param  float  $held  least condensing, K
     * @param  float  $ambient  K
     */
    public static function share(float $split, float $load, float $held, float $ambient): float
    {
        return max(0.0, min(self::MOST, 1 - ($split * $load) / max(1e-3, $held - $ambient)));
    }

    /**
     * Mass = flooded share × volume × (liquid density, bubble − vapour density, dew).
     *
     * @return array{float, float, float} kg, liquid and vapour density in kg/m³
     *
     * @throws \Metrum\Bench\CannotBe outside the table
     */
    public static function held(Inputs $given, string $fraction, string $temperature): array
    {
        $kelvin = $given->of($temperature);
        $fluid = $given->refrigerant();
        $liquid = $given->within($temperature, static fn (): float => $fluid->liquidDensity($kelvin));
        $vapour = $given->within($temperature, static fn (): float => $fluid->vapourDensity($kelvin));
        $volume = $given->of('condenser_internal_volume_l');

        return [$given->of($fraction) * $volume * ($liquid - $vapour), $liquid, $vapour];
    }
}
