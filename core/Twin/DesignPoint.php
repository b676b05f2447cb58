<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Quantity\Copies;

/** The point for which a plant was sized. SI. */
final readonly class DesignPoint
{
    use Copies;

    /**
     * @param  float  $box  air entering the coil, K
     * @param  float  $ambient  air entering the condenser, K
     * @param  float  $cooling  W
     * @param  float  $massFlow  kg/s
     * @param  float  $evaporating  pressure in the coil, Pa abs
     * @param  float  $condensing  pressure, Pa abs
     * @param  float  $liquid  enthalpy of the liquid leaving receiver or condenser, J/kg
     * @param  float  $summerCharge  kg with the receiver just covered and nothing flooded
     * @param  float  $buffer  kg between an empty and the design level of the receiver
     * @param  float  $full  kg with the receiver full to the brim (without one: the charge itself)
     * @param  float  $winter  kg that the condenser takes when it is flooded for the coldest day
     */
    public function __construct(
        public float $box,
        public float $ambient,
        public float $cooling,
        public float $massFlow,
        public float $evaporating,
        public float $condensing,
        public float $liquid,
        public float $summerCharge = 0.0,
        public float $buffer = 0.0,
        public float $full = 0.0,
        public float $winter = 0.0,
    ) {
    }

    public function withFlow(float $massFlow): self
    {
        return $this->but(massFlow: $massFlow);
    }

    public function withCharge(float $summerCharge, float $buffer, float $full, float $winter): self
    {
        return $this->but(summerCharge: $summerCharge, buffer: $buffer, full: $full, winter: $winter);
    }
}
