<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Refrigerant\Refrigerant;

/** What the plant meets now. SI. */
final readonly class Surroundings
{
    /**
     * @param  float  $ambient  air entering the condenser, K
     * @param  float  $box  air entering the coil, K
     * @param  ?float  $returnGain  K by which the suction line warms the gas; null: as the line is sized
     * @param  float  $atmosphere  Pa
     */
    public function __construct(
        public float $ambient,
        public float $box,
        public ?float $returnGain = null,
        public float $atmosphere = 101325.0,
    ) {
    }

    /** The same with a warmer box. @param  float  $kelvin  by which */
    public function warmer(float $kelvin): self
    {
        return new self($this->ambient, $this->box + $kelvin, $this->returnGain, $this->atmosphere);
    }

    /** Warmest ambient (K) at which a plant still condenses this refrigerant within its table. */
    public static function hottest(Refrigerant $fluid): float
    {
        return $fluid->saturation->highest - 8.0;
    }
}
