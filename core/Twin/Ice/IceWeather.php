<?php

declare(strict_types=1);

namespace Metrum\Twin\Ice;

use Metrum\Installation\Circuit;
use Metrum\Installation\CondenserPlace;
use Metrum\Quantity\Copies;

/** What an ice machine meets: the air around, the water it freezes, and what its condenser gives its heat to. K, Pa. */
final readonly class IceWeather
{
    use Copies;

    /**
     * @param  float  $air  K
     * @param  float  $water  K of the water that enters
     * @param  float  $sink  K of air or water that enters the condenser
     * @param  float  $atmosphere  Pa
     */
    public function __construct(
        public float $air,
        public float $water,
        public float $sink,
        public float $atmosphere = 101325.0,
    ) {
    }

    /**
     * K that enters its condenser: the air, or on water its cooling water; the inlet water where nobody read that.
     *
     * @param  float  $air  K
     * @param  float  $water  K
     * @param  ?float  $cooling  K of the cooling water; null: not read
     */
    public static function sink(Circuit $circuit, float $air, float $water, ?float $cooling = null): float
    {
        return $circuit->condenser === CondenserPlace::Water ? $cooling ?? $water : $air;
    }

    public function with(float ...$changed): self
    {
        return $this->but(...$changed);
    }
}
