<?php

declare(strict_types=1);

namespace Metrum\Log;

use Metrum\Installation\Circuit;
use Metrum\Installation\Installation;
use Metrum\Installation\NoPart;
use Metrum\Installation\PartId;
use Metrum\Installation\PartKind;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Fault;
use Metrum\Quantity\Atmosphere;
use Metrum\Quantity\Units;

/** What must be known to understand what is said: the units of whoever says it, the air at the site, the circuit. */
final readonly class Ground
{
    /** @param  ?Installation  $rack  the plant, where the circuit is one of several of it */
    public function __construct(
        public Units $units,
        public Atmosphere $atmosphere,
        public ?Circuit $circuit = null,
        public ?PartId $part = null,
        private ?Installation $rack = null,
    ) {
    }

    /** Of which part something is said. @throws NotAFact where it names none, or one that the plant has not */
    public function partOf(Statement $said): PartId
    {
        try {
            $part = PartId::said($said->of, $this->part ?? PartId::circuit());
        } catch (NoPart $reason) {
            throw NotAFact::because($reason->getMessage().'.');
        }
        if ($part->isCompressor() && $this->rack !== null && $this->rack->compressor($part) === null) {
            throw NotAFact::because("Compressor: you entered $part, which this rack does not list.");
        }
        $circuit = $part->ofCircuit();
        if ($this->rack === null || $circuit === null) {
            return $part;
        }
        if ($this->rack->branch($circuit) === null) {
            $last = count($this->rack->branches);
            throw NotAFact::because("Circuit: you entered $circuit. Enter circuit 1 to circuit $last.");
        }

        return $part->kind() === PartKind::Circuit && self::isOfPlant($said) ? PartId::plant() : $part;
    }

    /** Whether it is about what all circuits of a plant share, whichever is walked. */
    public static function isOfPlant(Statement $said): bool
    {
        return match ($said->kind) {
            FactKind::Move => Control::tryFrom($said->key)?->row()->isShared === true,
            FactKind::Confirmed, FactKind::RuledOut => Fault::tryFrom($said->key)?->isShared() === true,
            FactKind::Reading,
            FactKind::Observation,
            FactKind::Test => $said->kind->asked($said->key)?->taking()->isShared === true,
            FactKind::State,
            FactKind::Complaint,
            FactKind::Note,
            FactKind::Card,
            FactKind::Clock,
            FactKind::Touched,
            FactKind::Restored,
            FactKind::Circuit,
            FactKind::Undo => false,
        };
    }
}
