<?php

declare(strict_types=1);

namespace Metrum\Learning\Ice;

use Metrum\Installation\Circuit;
use Metrum\Twin\Ice\Plate;

/** An ice machine as it was drawn, before it is built. SI. */
final readonly class DrawnIceMachine
{
    /**
     * @param  float  $cooling  W
     * @param  float  $difference  K of freezing water over the plate with half a batch on it
     * @param  float  $bridge  m of ice between cubes
     */
    public function __construct(
        public Circuit $circuit,
        public float $cooling,
        public float $difference,
        public Plate $plate,
        public float $bridge,
    ) {
    }
}
