<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

use Metrum\Refrigerant\OutsideTable;

/**
 * The state in which a plant of several circuits settles: circuits, compressors, condenser and charge in turn until
 * none moves any more. Each circuit depends little on the others but by suction, head and liquid, so few turns do.
 */
final class RackSolver
{
    private const TURNS = 30;

    /** Shares of pressures and of liquid's enthalpy within which it has settled. */
    private const SETTLED = 5e-5;

    /** Share of the charge that may be missed. */
    private const CHARGED = 2e-3;

    /** Tries for the fill of a plant that is too empty or too full. */
    private const FILLS = 18;

    private const EMPTIEST = -0.9;

    private const FULLEST = 1.92;

    /** @var array<string, BranchWalk> by part */
    private array $walks = [];

    private HighWalk $high;

    private float $liquid;

    /** @var array<string, float> */
    private array $floors;

    /**
     * @param  array<string, BranchState>  $states  by part; a circuit that is not told cools
     * @param  array<string, float>  $floors  at which regulators stand, by part; those not told hold the set point
     * @param  array<string, list<?float>>  $airs  K by part and case where it is known
     */
    public function __construct(
        private readonly RackMachine $machine,
        private readonly Store $store,
        private readonly array $states = [],
        array $floors = [],
        private readonly array $airs = [],
    ) {
        $atmosphere = $store->air->pressure;
        foreach ($machine->branches as $branch) {
            if ($this->stateOf($branch) === BranchState::Cooling) {
                $this->walks[$branch->part->value] = new BranchWalk($branch, $store, $atmosphere);
            }
        }
        $this->high = new HighWalk($machine, $store, $atmosphere);
        $this->liquid = $machine->high->design->liquid;
        $this->floors = $floors;
    }

    /** Null where nothing runs or no state is found. */
    public function find(): ?RackState
    {
        if ($this->walks === []) {
            return null;
        }
        try {
            $middle = $this->filledTo(0.5);
            $level = $middle->level;
            if ($level >= 0.0 && $level <= 1.0) {
                return $this->high->isBeyond ? null : $middle;
            }

            $state = $level < 0.0 ? $this->short($middle) : $this->over($middle);

            return $this->high->isBeyond ? null : $state;
        } catch (OutsideTable) {
            return null;
        }
    }

    /** The same with the charge so full, whatever it is; null where no state is found. */
    public function standing(float $fill): ?RackState
    {
        try {
            return $this->walks === [] ? null : $this->filledTo($fill);
        } catch (OutsideTable) {
            return null;
        }
    }

    /**
     * Pa abs at the header that each circuit in cooling needs, by part.
     *
     * @param  ?RackState  $now  from which the liquid comes; null: as planned
     * @return array<string, float>
     */
    public function needs(?RackState $now): array
    {
        $needs = [];
        foreach ($this->walks as $part => $walk) {
            try {
                $walk->drawOn($now->condensing ?? $this->high->condensing(), $now->liquid ?? $this->liquid);
                $needs[$part] = $walk->neededHeader();
            } catch (OutsideTable) {
                continue;
            }
        }

        return $needs;
    }

    private function stateOf(RackBranch $branch): BranchState
    {
        return $this->states[$branch->part->value] ?? BranchState::Cooling;
    }

    /** The state with the charge so full, whatever that takes; its level may then be none. */
    private function filledTo(float $fill): RackState
    {
        for ($turn = 0; $turn < self::TURNS; $turn++) {
            $this->circuits();
            $before = $this->unknowns();
            $this->high->settle($fill);
            foreach ($this->high->groups as $group) {
                $group->hold();
            }
            $this->liquid = $this->high->loop->condenser->afterReceiver;
            $moved = 0.0;
            foreach ($this->unknowns() as $place => $after) {
                $moved = max($moved, abs($after - $before[$place]));
            }
            if ($moved < self::SETTLED && $turn > 0) {
                break;
            }
        }

        return (new RackSettled($this->machine, $this->store, $this->high, $this->walks, $this->states))->state(
            $fill,
            $this->liquid,
            $this->floors,
        );
    }

    /** @return non-empty-list<float> what is sought: headers, head and liquid, each on a scale of shares */
    private function unknowns(): array
    {
        $headers = array_map(static fn (GroupWalk $one): float => log($one->suction), $this->high->groups);

        return [...$headers, log($this->high->condensing()), $this->liquid / 2e5];
    }

    /** What all circuits send to their groups. */
    private function circuits(): void
    {
        foreach ($this->high->groups as $group) {
            $group->begin();
        }
        foreach ($this->walks as $part => $walk) {
            $group = $this->groupOf($walk->branch);
            $walk->drawOn($this->high->condensing(), $this->liquid);
            $walk->settle($group->suction, $this->floor($part, $walk), $this->airs[$part] ?? []);
            $group->take($walk->flow(), $walk->brought(), $walk->gasHeat());
        }
        foreach ($this->high->groups as $group) {
            $group->taken();
        }
    }

    private function groupOf(RackBranch $branch): GroupWalk
    {
        foreach ($this->high->groups as $group) {
            if ($group->group->part->is($branch->group)) {
                return $group;
            }
        }

        return $this->high->groups[0];
    }

    private function floor(string $part, BranchWalk $walk): ?float
    {
        $off = $walk->branch->regulatorOff;
        if ($off === null) {
            return null;
        }
        $this->floors[$part] ??= $this->machine->fluid()->warmer($walk->needed(), $off);

        return $this->floors[$part];
    }

    /** Gas reaches the liquid line: so short that the charge just fills what is left. */
    private function short(RackState $middle): RackState
    {
        return $this->fill(self::EMPTIEST, 0.0, $middle);
    }

    /** The receiver is full and liquid backs up in the condenser. */
    private function over(RackState $middle): RackState
    {
        return $this->fill(1.0, self::FULLEST, $middle);
    }

    private function fill(float $low, float $high, RackState $state): RackState
    {
        $fill = $low < 0.0 ? -0.08 : 1.15;
        $before = null;
        for ($try = 0; $try < self::FILLS; $try++) {
            $state = $this->filledTo($fill);
            $miss = ($this->mass($state, $fill) - $this->machine->charge) / $this->machine->charge;
            if (abs($miss) < self::CHARGED) {
                break;
            }
            if ($miss > 0.0) {
                $high = $fill;
            } else {
                $low = $fill;
            }
            $slope = $before === null ? 0.0 : ($miss - $before[1]) / ($fill - $before[0]);
            $before = [$fill, $miss];
            $next = $slope > 0.02 ? $fill - $miss / $slope : ($low + $high) / 2;
            $fill = $next <= $low || $next >= $high ? ($low + $high) / 2 : $next;
            if ($high - $low < 1e-4) {
                break;
            }
        }

        return $state;
    }

    /** kg of all of it with the receiver empty or full. */
    private function mass(RackState $state, float $fill): float
    {
        $loop = $this->high->loop;
        $volume = $this->machine->high->receiverVolume;
        $beyond = $this->machine->high->condenserVolume *
            $loop->condensing->heavy *
            max(0.0, $loop->condenser->flooded - 1.0);

        return array_sum($state->held) +
            $beyond +
            ($fill < 0.0 ? 0.0 : $volume * ($loop->condensing->heavy - $loop->condensing->light));
    }
}
