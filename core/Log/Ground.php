<?php

declare(strict_types=1);

namespace Metrum\Log;

use Metrum\Installation\Circuit;
use Metrum\Quantity\Atmosphere;
use Metrum\Quantity\Units;

/** What must be known to understand what is said: the units of whoever says it, the air at the site, the circuit. */
final readonly class Ground
{
    public function __construct(
        public Units $units,
        public Atmosphere $atmosphere,
        public ?Circuit $circuit = null,
    ) {
    }
}
