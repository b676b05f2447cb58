<?php

declare(strict_types=1);

namespace Metrum\Log;

use Metrum\Installation\Circuit;
use Metrum\Installation\NoPart;
use Metrum\Installation\PartId;
use Metrum\Quantity\Atmosphere;
use Metrum\Quantity\Units;

/** What must be known to understand what is said: the units of whoever says it, the air at the site, the circuit. */
final readonly class Ground
{
    public function __construct(
        public Units $units,
        public Atmosphere $atmosphere,
        public ?Circuit $circuit = null,
        public ?PartId $part = null,
    ) {
    }

    /** Of which part something is said. @throws NotAFact where it names none */
    public function partOf(Statement $said): PartId
    {
        try {
            return PartId::said($said->of, $this->part ?? PartId::circuit());
        } catch (NoPart $reason) {
            throw NotAFact::because($reason->getMessage().'.');
        }
    }
}
