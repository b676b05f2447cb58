<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

use Metrum\Installation\PartId;
use Metrum\Quantity\Copies;
use Metrum\Refrigerant\Refrigerant;
use Metrum\Twin\Machine;

/** A plant of several circuits with its sizes: one high side, groups of compressors, many branches. SI. */
final readonly class RackMachine
{
    use Copies;

    /**
     * @param  Machine  $high  condenser, receiver, head control, and the compressors of the first group together
     * @param  non-empty-list<RackBranch>  $branches  each draws on one of the groups
     * @param  non-empty-list<RackGroup>  $groups
     * @param  float  $liquidVolume  m³ of all liquid lines
     * @param  float  $suctionVolume  m³ of all suction lines
     * @param  float  $reclaimVolume  m³; 0 where none is fitted
     * @param  float  $charge  kg of all of it
     * @param  float  $filled  share of a coil in hot gas defrost, and of a reclaim coil in use, that is liquid
     */
    public function __construct(
        public Machine $high,
        public array $branches,
        public array $groups,
        public float $liquidVolume,
        public float $suctionVolume,
        public float $reclaimVolume,
        public float $charge,
        public float $filled = 0.45,
    ) {
    }

    public function fluid(): Refrigerant
    {
        return $this->high->fluid;
    }

    public function withHigh(Machine $high): self
    {
        return $this->but(high: $high);
    }

    public function charged(float $charge): self
    {
        return $this->but(charge: max(0.01, $charge));
    }

    /** From which a circuit draws. */
    public function groupOf(RackBranch $branch): RackGroup
    {
        return $this->group($branch->group);
    }

    /** The first where there is none of that name. */
    public function group(PartId $part): RackGroup
    {
        foreach ($this->groups as $group) {
            if ($group->part->is($part)) {
                return $group;
            }
        }

        return $this->groups[0];
    }

    /**
     * The same with one of its groups otherwise.
     *
     * @param  callable(RackGroup): RackGroup  $changed
     */
    public function withGroup(PartId $part, callable $changed): self
    {
        $one = $this->group($part);

        return $this->but(
            groups: array_map(
                static fn (RackGroup $group): RackGroup => $group === $one ? $changed($group) : $group,
                $this->groups,
            ),
        );
    }

    /** The same whose first group holds its header at such a pressure (Pa abs). */
    public function holding(float $setSuction): self
    {
        return $this->withGroup(
            $this->groups[0]->part,
            static fn (RackGroup $one): RackGroup => $one->holding($setSuction),
        );
    }

    public function filling(float $filled): self
    {
        return $this->but(filled: $filled);
    }

    public function piped(float $liquid, float $suction, float $reclaim): self
    {
        return $this->but(liquidVolume: $liquid, suctionVolume: $suction, reclaimVolume: $reclaim);
    }

    /** @param  callable(RackBranch, int): RackBranch  $changed */
    public function withBranches(callable $changed): self
    {
        return $this->but(branches: array_map($changed, $this->branches, array_keys($this->branches)));
    }
}
