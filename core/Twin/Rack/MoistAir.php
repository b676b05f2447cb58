<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

use Metrum\Quantity\Celsius;

/** Air with water in it, as a store's. SI. */
final readonly class MoistAir
{
    /** Mass of water vapour to that of dry air at the same pressure. */
    private const LIGHTER = 0.622;

    /** J/(kg K) of dry air and of vapour, and J/kg that water takes to evaporate at 0 °C. */
    private const DRY = 1006.0;

    private const VAPOUR = 1860.0;

    private const LATENT = 2.501e6;

    /**
     * @param  float  $temperature  K
     * @param  float  $humidity  relative, 0 … 1
     * @param  float  $pressure  Pa abs
     */
    public function __construct(
        public float $temperature,
        public float $humidity,
        public float $pressure = 101325.0,
    ) {
    }

    /** kg of water to a kg of dry air. Saturation by Magnus (WMO guide 8, over water; over ice below 0 °C). */
    public function moisture(): float
    {
        $celsius = $this->temperature - Celsius::ZERO;
        [$slope, $apart] = $celsius < 0.0 ? [22.46, 272.62] : [17.62, 243.12];
        $vapour = $this->humidity * 611.2 * exp(($slope * $celsius) / ($apart + $celsius));

        return (self::LIGHTER * $vapour) / ($this->pressure - $vapour);
    }

    /** J to a kg of dry air, above dry air at 0 °C. */
    public function enthalpy(): float
    {
        $celsius = $this->temperature - Celsius::ZERO;

        return self::DRY * $celsius + $this->moisture() * (self::LATENT + self::VAPOUR * $celsius);
    }
}
