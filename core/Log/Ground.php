<?php

declare(strict_types=1);

namespace Metrum\Log;

use Metrum\Installation\Circuit;
use Metrum\Installation\Installation;
use Metrum\Installation\NoPart;
use Metrum\Installation\PartId;
use Metrum\Installation\PartKind;
use Metrum\Installation\SuctionGroup;
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
        if ($this->rack === null) {
            return $part;
        }
        if ($circuit === null) {
            return $this->oneOfGroups($part, $said, $this->rack);
        }
        if ($this->rack->branch($circuit) === null) {
            $last = count($this->rack->branches);
            throw NotAFact::because("Circuit: you entered $circuit. Enter circuit 1 to circuit $last.");
        }

        return $part->kind() === PartKind::Circuit && self::isOfPlant($said)
            ? $this->shared($circuit, $said, $this->rack)
            : $part;
    }

    /** What is read at a header is of the group that the walked circuit draws from; all else of the plant. */
    private function shared(PartId $circuit, Statement $said, Installation $rack): PartId
    {
        $group = $rack->branch($circuit)?->group;

        return $group !== null && $rack->hasSeveralGroups() && self::isOfGroup($said) ? $group : PartId::plant();
    }

    /** @throws NotAFact where it is read at a header, there are several, and none is named */
    private function oneOfGroups(PartId $part, Statement $said, Installation $rack): PartId
    {
        $groups = array_map(static fn (SuctionGroup $one): string => $one->part->value, $rack->groups);
        if ($part->kind() === PartKind::Group && ! in_array($part->value, $groups, true)) {
            throw NotAFact::because("Suction group: you entered $part. Enter ".implode(' or ', $groups).'.');
        }
        if ($part->kind() === PartKind::Plant && $rack->hasSeveralGroups() && self::isOfGroup($said)) {
            $names = array_map(static fn (SuctionGroup $one): string => $one->label(), $rack->groups);
            throw NotAFact::because(
                'Of which suction group is “'.$said->kind->asked($said->key)?->label().'”? '.
                    "Start with its name, as “{$names[0]}: …”.",
            );
        }

        return $part;
    }

    private static function isOfGroup(Statement $said): bool
    {
        return $said->kind === FactKind::Reading && $said->kind->asked($said->key)?->taking()->isOfGroup === true;
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
            FactKind::Goods,
            FactKind::Site,
            FactKind::Circuit,
            FactKind::Undo => false,
        };
    }
}
