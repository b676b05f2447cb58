<?php

declare(strict_types=1);

namespace Metrum\Twin\Ice;

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

    public function with(float ...$changed): self
    {
        return $this->but(...$changed);
    }
}
