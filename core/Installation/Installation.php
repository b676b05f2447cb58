<?php

declare(strict_types=1);

namespace Metrum\Installation;

use Metrum\Quantity\Atmosphere;
use Metrum\Quantity\Copies;

/**
 * What a plant is made of: one high side, groups of compressors, and branches that draw on them. What is shared follows
 * from that. A walk-in with its own unit is one group, one compressor, one branch.
 */
final readonly class Installation
{
    use Copies;

    public Atmosphere $atmosphere;

    /**
     * @param  non-empty-list<SuctionGroup>  $groups
     * @param  non-empty-list<Branch>  $branches  each draws on one of the groups
     */
    public function __construct(
        public HighSide $highSide,
        public array $groups,
        public array $branches,
        ?Atmosphere $atmosphere = null,
    ) {
        $this->atmosphere = $atmosphere ?? Atmosphere::atAltitude(0);
    }

    /** A plant of which one circuit is known; its kind says what is usual of the rest. */
    public static function of(Circuit $circuit, ?PartId $part = null): self
    {
        $group = self::usual(new SuctionGroup(PartId::shared(PartKind::Group, '1'), SuctionHold::ByLoad), $circuit);

        return new self(
            HighSide::of($circuit),
            [$group->ratedFor($circuit->design->ratedCurrent)],
            [Branch::of($circuit, $part ?? PartId::circuit(), $group->part)],
            $circuit->atmosphere,
        );
    }

    /** The same with one of its circuits as it is known now, or with one more; what it shares is as that says, too. */
    public function with(PartId $part, Circuit $circuit): self
    {
        $before = $this->branch($part);
        $branch = Branch::of($circuit, $part, $before->group ?? $this->groups[0]->part, $before);
        $isOfOtherKind = $before !== null && $before->load->kind !== $circuit->kind;
        $group = static fn (SuctionGroup $one): SuctionGroup => $isOfOtherKind ? self::usual($one, $circuit) : $one;

        return $this->but(
            highSide: HighSide::of($circuit, $this->highSide),
            groups: array_map(
                static fn (SuctionGroup $one): SuctionGroup => $one->part->is($branch->group)
                    ? $group($one)->ratedFor($circuit->design->ratedCurrent)
                    : $one,
                $this->groups,
            ),
            branches: $before === null
                ? [...$this->branches, $branch]
                : array_map(
                    static fn (Branch $one): Branch => $one->part->is($part) ? $branch : $one,
                    $this->branches,
                ),
            atmosphere: $circuit->atmosphere,
        );
    }

    /** The same with another high side. */
    public function under(HighSide $highSide): self
    {
        return $this->but(highSide: $highSide);
    }

    /** The same in other air. */
    public function in(Atmosphere $atmosphere): self
    {
        return $this->but(atmosphere: $atmosphere);
    }

    /** One circuit with all that it draws on. @throws NoPart where it has no such circuit */
    public function circuit(PartId $part): Circuit
    {
        $branch = $this->branch($part) ?? throw NoPart::given($part->value);
        $high = $this->highSide;

        return new Circuit(
            $high->refrigerant,
            $branch->load->kind,
            $branch->feed,
            $high->condenser,
            $high->headPressureControl,
            $high->receiver,
            $branch->regulator?->isFitted,
            $branch->suctionAccumulator,
            $branch->load->control,
            $branch->load->defrost,
            new Design(
                $branch->coils[0]->difference,
                $high->condenserSplit,
                $branch->superheat,
                $branch->subcooling,
                $branch->load->setPoint,
                $this->group($branch)->ratedCurrent(),
                $high->coldestAmbient,
                $high->receiverVolume,
                $high->condenserVolume,
                $high->plateCharge,
                $high->liquidLineLength,
                $high->liquidLineBore,
                $branch->load->rating->perCycle,
                $branch->load->rating->perDay,
                $branch->load->rating->perDayHot,
                $branch->load->rating->bridge,
            ),
            $this->atmosphere,
            $branch->exchanger,
            $this->others($branch),
            $branch->load->ice,
        );
    }

    /** Null where it has no such circuit. */
    public function branch(PartId $part): ?Branch
    {
        foreach ($this->branches as $branch) {
            if ($branch->part->is($part)) {
                return $branch;
            }
        }

        return null;
    }

    /** @return list<CompressorUnit> of all groups */
    public function compressors(): array
    {
        return array_merge(...array_map(static fn (SuctionGroup $one): array => $one->compressors, $this->groups));
    }

    /**
     * The compressors of all groups; where nobody listed any, the one that there must be.
     *
     * @return non-empty-list<CompressorUnit>
     */
    public function fitted(): array
    {
        $listed = $this->compressors();

        return $listed === [] ? [new CompressorUnit(PartId::shared(PartKind::Compressor, '1'))] : $listed;
    }

    /** The same with one of its compressors as it is known now; where none were listed, with that one. */
    public function knowing(CompressorUnit $unit): self
    {
        $isListed = $this->compressor($unit->part) !== null;

        return $this->but(
            groups: array_map(
                static fn (SuctionGroup $one, int $place): SuctionGroup => match (true) {
                    $isListed => $one->knowing($unit),
                    $place === 0 => $one->and($unit),
                    default => $one,
                },
                $this->groups,
                array_keys($this->groups),
            ),
        );
    }

    /** Null where it has no such compressor. */
    public function compressor(PartId $part): ?CompressorUnit
    {
        foreach ($this->compressors() as $unit) {
            if ($unit->part->is($part)) {
                return $unit;
            }
        }

        return null;
    }

    /** A part that people call by a name of its own; null where it has no such part. */
    public function named(PartId $part): Branch|CompressorUnit|SuctionGroup|null
    {
        return $this->branch($part) ?? $this->compressor($part) ?? $this->suctionGroup($part);
    }

    /** The number that one more circuit gets. */
    public function nextCircuit(): PartId
    {
        $number = 1;
        while ($this->branch(PartId::circuit($number)) !== null) {
            $number++;
        }

        return PartId::circuit($number);
    }

    /** From which a circuit draws. */
    public function group(Branch $branch): SuctionGroup
    {
        return $this->suctionGroup($branch->group) ?? $this->groups[0];
    }

    /** Whether its compressors draw from more than one suction: what is read at a header is then of one of them. */
    public function hasSeveralGroups(): bool
    {
        return count($this->groups) > 1;
    }

    /** @return list<Branch> that draw from a group */
    public function branchesOf(SuctionGroup $group): array
    {
        return array_values(
            array_filter($this->branches, fn (Branch $one): bool => $this->group($one)->part->is($group->part)),
        );
    }

    /** @return non-empty-list<SuctionGroup> from which any circuit draws */
    public function groupsInUse(): array
    {
        $used = array_values(
            array_filter($this->groups, fn (SuctionGroup $one): bool => $this->branchesOf($one) !== []),
        );

        return $used === [] ? $this->groups : $used;
    }

    /** Null where it has no such group. */
    public function suctionGroup(PartId $part): ?SuctionGroup
    {
        foreach ($this->groups as $group) {
            if ($group->part->is($part)) {
                return $group;
            }
        }

        return null;
    }

    /** K of dew that a group's header is planned for; null where nobody says it. */
    public function plannedSuction(SuctionGroup $group): ?float
    {
        $isFirst = $group->part->is($this->groups[0]->part);

        return $group->suction ?? ($isFirst ? $this->highSide->rack->suction : null);
    }

    /**
     * What other circuits draw from its group, as a multiple of what it draws: those that are listed by their
     * capacities, as much as itself where these are not known; at least what is usual where some are not listed.
     */
    private function others(Branch $branch): float
    {
        $listed = 0.0;
        foreach ($this->branches as $one) {
            if ($one !== $branch && $one->group->is($branch->group)) {
                $isKnown = $one->capacity !== null && $branch->capacity !== null && $branch->capacity > 0.0;
                $listed += $isKnown ? $one->capacity / $branch->capacity : 1.0;
            }
        }
        $usual = $this->group($branch)->servesOthers ? $branch->load->kind?->usual()->others ?? 0.0 : 0.0;

        return max($listed, $usual);
    }

    /** A group as it usually serves such a circuit. */
    private static function usual(SuctionGroup $group, Circuit $circuit): SuctionGroup
    {
        return $group->serving($circuit->isShared());
    }
}
