<?php

declare(strict_types=1);

namespace Metrum\Log;

use Metrum\Installation\Circuit;
use Metrum\Installation\NoPart;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;
use Metrum\Quantity\Atmosphere;
use Metrum\Quantity\Units;

/** What must be known to understand what is said: the units of whoever says it, the air at the site, the circuit. */
final readonly class Ground
{
    /** @param  bool  $isShared  the circuit is one of several of its plant */
    public function __construct(
        public Units $units,
        public Atmosphere $atmosphere,
        public ?Circuit $circuit = null,
        public ?PartId $part = null,
        private bool $isShared = false,
    ) {
    }

    /** Of which part something is said. @throws NotAFact where it names none */
    public function partOf(Statement $said): PartId
    {
        if ($said->of === '' && $this->isShared && self::isOfPlant($said)) {
            return PartId::plant();
        }
        try {
            return PartId::said($said->of, $this->part ?? PartId::circuit());
        } catch (NoPart $reason) {
            throw NotAFact::because($reason->getMessage().'.');
        }
    }

    /** Whether it is about what all circuits of a plant share, whichever is walked. */
    private static function isOfPlant(Statement $said): bool
    {
        $asked = match ($said->kind) {
            FactKind::Reading => Reading::tryFrom($said->key),
            FactKind::Observation => Observation::tryFrom($said->key),
            FactKind::Test => Test::tryFrom($said->key),
            FactKind::State,
            FactKind::Complaint,
            FactKind::Confirmed,
            FactKind::RuledOut,
            FactKind::Note,
            FactKind::Move,
            FactKind::Card,
            FactKind::Clock,
            FactKind::Touched,
            FactKind::Restored,
            FactKind::Circuit,
            FactKind::Undo => null,
        };

        return $asked?->taking()->isShared === true;
    }
}
