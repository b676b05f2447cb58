<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

use Metrum\Installation\Circuit;
use Metrum\Installation\Coil;
use Metrum\Installation\Design;
use Metrum\Installation\DesignKey;
use Metrum\Installation\HeadPressureControl;
use Metrum\Installation\Installation;
use Metrum\Installation\SuctionGroup;
use Metrum\Quantity\Celsius;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Twin\Machine;
use Metrum\Twin\Sizing;

/**
 * Sizes a plant of several circuits: each case for its capacity at its own design point, condenser and compressors for
 * all of them together at the planned suction; volumes from the plan, else usual for the capacity.
 */
final readonly class RackSizing
{
    /** K of air over the middle of a case's coil, where it is not known. */
    public const DIFFERENCE = 6.0;

    /** m³ to a W of cooling: condenser, receiver, liquid lines, coils, suction lines, reclaim coil. */
    public const CONDENSER = 0.35e-6;

    public const RECEIVER = 1.2e-6;

    public const LIQUID = 0.7e-6;

    public const COILS = 1.0e-6;

    private const SUCTION = 2.5e-6;

    public const RECLAIM = 0.12e-6;

    /** What compressors could do more than all circuits ask at their rated load. */
    private const RESERVE = 1.35;

    /** K of coil over header that the high side is sized by. */
    private const COIL_OVER_HEADER = 1.2;

    /** Pa abs at which a condenser is rated, near enough for its glide. */
    private const RATED_CONDENSING = 1.6e6;

    /** Share of a rack's condenser that is held full of liquid at most: it runs at a small part of its load too. */
    private const MOST_FLOODED = 0.985;

    /** K by which fans let head stand below where all of them run. */
    private const HELD_BELOW = 2.0;

    /** Level that a receiver is filled to where nobody says. */
    private const USUAL_LEVEL = 0.45;

    /** K of weather in which a level is told where nobody says it. */
    private const USUAL_AMBIENT = Celsius::ZERO + 24.0;

    public function __construct(private Installation $plant)
    {
    }

    /**
     * @param  array<string, GroupSettings>  $settings  what is known of its groups, by their part
     * @param  ?float  $setHead  Pa abs that its head control is set to; null: as such a control usually is
     *
     * @throws OutsideTable where such a plant cannot be built with its refrigerant
     */
    public function machine(array $settings = [], ?float $setHead = null): RackMachine
    {
        $branches = [];
        $cooling = 0.0;
        $sizing = new BranchSizing($this->plant);
        foreach ($this->plant->branches as $branch) {
            $branches[] = $one = $sizing->branch($branch);
            $cooling += $one->rated();
        }
        $high = $this->plant->highSide;
        $groups = $machines = [];
        foreach ($this->plant->groupsInUse() as $group) {
            $known = $settings[$group->part->value] ?? new GroupSettings();
            $own = array_values(
                array_filter($branches, static fn (RackBranch $one): bool => $one->group->is($group->part)),
            );
            $planned = $this->planned($group, $own, $known);
            $machines[] = $machine = $this->compressing($group, self::rated($own), $cooling, $planned, $setHead);
            $groups[] = new RackGroup(
                $group->part,
                $known->suction ?? $machine->fluid->dewPressure($planned),
                $known->compressorsOf($group),
                $machine->compressor->displacement / $machines[0]->compressor->displacement,
            );
        }
        $rack = new RackMachine(
            self::holding(self::rejecting($machines), $setHead),
            $branches,
            $groups,
            $high->rack->liquidVolume ?? self::LIQUID * $cooling,
            self::SUCTION * $cooling,
            $high->rack->reclaimVolume ?? self::RECLAIM * $cooling,
            $high->plateCharge ?? 1.0,
        );

        return $rack->charged($this->charge($rack));
    }

    /** @param  list<RackBranch>  $branches */
    private static function rated(array $branches): float
    {
        return array_sum(array_map(static fn (RackBranch $one): float => $one->rated(), $branches));
    }

    /**
     * K of dew for which a group is built.
     *
     * @param  list<RackBranch>  $branches  that draw on it
     */
    private function planned(SuctionGroup $group, array $branches, GroupSettings $known): float
    {
        $fluid = $branches[0]->cases[0]->machine->fluid;
        $set = $known->suction === null ? null : $fluid->dewTemperature($known->suction);

        return $this->plant->plannedSuction($group) ?? $set ?? self::lowestNeed($branches);
    }

    /**
     * The condenser for what all groups send it, on the compressors of the first.
     *
     * @param  non-empty-list<Machine>  $machines  by group, each with a condenser for its own heat
     */
    private static function rejecting(array $machines): Machine
    {
        $first = $machines[0];
        if (count($machines) === 1) {
            return $first;
        }
        $all = array_sum(array_map(static fn (Machine $one): float => $one->condenser->capacity, $machines));

        return $first->with(condenser: $first->condenser->scaled($all / $first->condenser->capacity));
    }

    /** kg: so much that the level stands where it stood when it ran well; else the plate's; else a usual level. */
    private function charge(RackMachine $rack): float
    {
        $design = $this->plant->highSide;
        if ($design->rack->level === null && $design->plateCharge !== null) {
            return $design->plateCharge;
        }
        $state = $this->reference($rack);

        return $state === null
            ? $design->plateCharge ?? 1.0
            : self::chargeFor($rack, $state, $design->rack->level ?? self::USUAL_LEVEL);
    }

    /** As it stood when its level was told: all circuits cooling, nothing reclaimed; null where it does not run so. */
    public function reference(RackMachine $rack): ?RackState
    {
        $design = $this->plant->highSide->rack;
        $store = Store::usual($design->levelAmbient ?? self::USUAL_AMBIENT, $this->plant->atmosphere->pascal);
        foreach ($this->plant->groupsInUse() as $group) {
            $planned = $this->plant->plannedSuction($group);
            $rack = $planned === null ? $rack : $rack->withGroup(
                $group->part,
                static fn (RackGroup $one): RackGroup => $one->holding($rack->fluid()->dewPressure($planned)),
            );
        }

        return (new RackSolver($rack, $store))->standing(0.5);
    }

    /** kg with which the receiver stands so full in such a state. */
    public static function chargeFor(RackMachine $rack, RackState $state, float $level): float
    {
        $fluid = $rack->fluid();
        $bubble = $fluid->bubbleTemperature($state->condensing);
        $gas = $fluid->vapourDensity($fluid->dewTemperature($state->condensing));

        return array_sum($state->held) +
            $level * $rack->high->receiverVolume * ($fluid->liquidDensity($bubble) - $gas);
    }

    /**
     * K of dew that the neediest of them needs at the header.
     *
     * @param  list<RackBranch>  $branches
     */
    private static function lowestNeed(array $branches): float
    {
        $least = INF;
        foreach ($branches as $branch) {
            foreach ($branch->cases as $case) {
                $fluid = $case->machine->fluid;
                $coil = $fluid->dewTemperature($case->machine->design->evaporating);
                $least = min($least, $coil - $branch->drop);
            }
        }

        return $least;
    }

    /**
     * The compressors of one group, and a condenser for what they send.
     *
     * @param  float  $own  W of its circuits
     * @param  float  $cooling  W of all
     * @param  float  $suction  K of dew for which it is built
     * @param  ?float  $setHead  a set point says that something holds the head
     */
    private function compressing(
        SuctionGroup $group,
        float $own,
        float $cooling,
        float $suction,
        ?float $setHead,
    ): Machine {
        $part = ($this->plant->branchesOf($group)[0] ?? $this->plant->branches[0])->part;
        $circuit = $this->plant->circuit($part);
        $design = $circuit->design;
        $volumes = [
            $design->receiverVolume ?? self::RECEIVER * $cooling,
            $design->condenserVolume ?? self::CONDENSER * $cooling,
        ];
        $lumped = $circuit->alone(
            BranchSizing::unrated($design)
                ->with(DesignKey::EvaporatorTd, self::DIFFERENCE)
                ->with(DesignKey::BoxSetPoint, $suction + self::COIL_OVER_HEADER + self::DIFFERENCE)
                ->with(DesignKey::Superheat, null)
                ->with(DesignKey::CondenserSplit, self::meanSplit($circuit))
                ->with(DesignKey::ReceiverVolume, $volumes[0])
                ->with(DesignKey::CondenserVolume, $volumes[1]),
        );
        $isHeld = $setHead !== null && $circuit->headPressureControl === null;
        $machine = (new Sizing($isHeld ? $lumped->asItOughtToBe() : $lumped))
            ->machine($own);

        return $machine->with(compressor: $machine->compressor->otherwise(self::RESERVE));
    }

    /** K over the air in the middle of the condenser: a remote condenser is rated by the dew that enters it. */
    private static function meanSplit(Circuit $circuit): ?float
    {
        $split = $circuit->design->condenserSplit;
        $glide = $circuit->fluid()->glide(self::RATED_CONDENSING);

        return $split === null ? null : $split - $glide / 2;
    }

    /** With its head control set to such a pressure (Pa abs). */
    private static function holding(Machine $machine, ?float $head): Machine
    {
        $control = $machine->head->flooding(self::MOST_FLOODED);

        return $machine->with(
            head: $head === null || $control->kind === HeadPressureControl::None
                ? $control
                : $control->set($machine->fluid->bubbleTemperature($head) + self::heldBelow($control->kind)),
        );
    }

    /** K by which a control of head holds less than where it is wide open: a valve is set by where it is. */
    public static function heldBelow(HeadPressureControl $kind): float
    {
        return $kind === HeadPressureControl::FloodingValve ? 0.0 : self::HELD_BELOW;
    }
}
