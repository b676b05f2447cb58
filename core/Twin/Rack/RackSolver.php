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

    /** By which flow to capacity falls as the header rises, to begin with. */
    private const RELIEF = -1.7;

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

    private float $suction;

    private float $liquid;

    private bool $allRun = false;

    /** J/(kg K) of the gas. */
    private float $gasHeat = 900.0;

    /** @var ?array{float, float} ln Pa of the header and ln of flow to capacity, a turn before */
    private ?array $pulled = null;

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
        $this->suction = $machine->setSuction;
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
            [$flow, $brought] = $this->circuits();
            $before = [log($this->suction), log($this->high->condensing()), $this->liquid / 2e5];
            $this->high->settle($this->suction, $flow, $brought / $flow, $this->gasHeat, $fill);
            $this->held($flow);
            $this->liquid = $this->high->loop->condenser->afterReceiver;
            $after = [log($this->suction), log($this->high->condensing()), $this->liquid / 2e5];
            $moved = max(abs($after[0] - $before[0]), abs($after[1] - $before[1]), abs($after[2] - $before[2]));
            if ($moved < self::SETTLED && $turn > 0) {
                break;
            }
        }

        return (new RackSettled($this->machine, $this->store, $this->high, $this->walks, $this->states))->state(
            $fill,
            $this->suction,
            $this->liquid,
            $this->allRun,
            $this->floors,
        );
    }

    /** @return array{float, float} kg/s and W of what all circuits send */
    private function circuits(): array
    {
        $flow = $brought = 0.0;
        foreach ($this->walks as $part => $walk) {
            $walk->drawOn($this->high->condensing(), $this->liquid);
            $walk->settle($this->suction, $this->floor($part, $walk), $this->airs[$part] ?? []);
            $flow += $walk->flow();
            $brought += $walk->brought();
            $this->gasHeat = $walk->gasHeat();
        }

        return [max(1e-7, $flow), $brought];
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

    /** The compressors hold the header where they can; where all run and that is not enough it rises. */
    private function held(float $flow): void
    {
        $rise = log($flow / $this->high->capacity());
        $set = $this->machine->setSuction;
        $at = log($this->suction);
        $this->allRun = $rise > -1e-3 || $this->suction > $set * 1.0005;
        $slope = self::RELIEF;
        if ($this->pulled !== null && abs($at - $this->pulled[0]) > 1e-6) {
            $slope = max(-4.0, min(-0.9, ($rise - $this->pulled[1]) / ($at - $this->pulled[0])));
        }
        $this->pulled = [$at, $rise];
        $this->suction = max($set, exp($at - max(-0.25, min(0.25, $rise / $slope))));
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
