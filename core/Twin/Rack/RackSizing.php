<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

use Metrum\Installation\BoxControl;
use Metrum\Installation\Branch;
use Metrum\Installation\Circuit;
use Metrum\Installation\Coil;
use Metrum\Installation\CompressorUnit;
use Metrum\Installation\DefrostKind;
use Metrum\Installation\Design;
use Metrum\Installation\DesignKey;
use Metrum\Installation\HeadPressureControl;
use Metrum\Installation\Installation;
use Metrum\Installation\Kind;
use Metrum\Installation\LoadKind;
use Metrum\Quantity\Celsius;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Twin\Filling;
use Metrum\Twin\Machine;
use Metrum\Twin\Sizing;

/**
 * Sizes a plant of several circuits: each case for its capacity at its own design point, condenser and compressors for
 * all of them together at the planned suction; volumes from the plan, else usual for the capacity.
 */
final readonly class RackSizing
{
    /** W of one case and of one room of which nobody said the capacity. */
    private const CASE_COOLING = 2200.0;

    private const ROOM_COOLING = 5000.0;

    /** K of air over the middle of a case's coil, where it is not known. */
    private const DIFFERENCE = 6.0;

    /** K of dew that a suction line takes at its rated flow, and a regulator that is wide open. */
    private const LINE_DROP = 1.0;

    private const REGULATOR_DROP = 0.8;

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

    /** Share of a rack's condenser that is held full of liquid at most: it runs at a small part of its load too. */
    private const MOST_FLOODED = 0.985;

    /** K by which a control of head lets it stand below where it throttles nothing any more. */
    private const HELD_BELOW = 2.0;

    /** Level that a receiver is filled to where nobody says. */
    private const USUAL_LEVEL = 0.45;

    /** K of weather in which a level is told where nobody says it. */
    private const USUAL_AMBIENT = Celsius::ZERO + 24.0;

    public function __construct(private Installation $plant)
    {
    }

    /**
     * @param  ?float  $setSuction  Pa abs at the header that the group is set to; null: as planned
     * @param  ?float  $setHead  Pa abs that its head control is set to; null: as such a control usually is
     * @param  int  $compressors  how many are fitted; 0: as listed
     *
     * @throws OutsideTable where such a plant cannot be built with its refrigerant
     */
    public function machine(
        ?float $setSuction = null,
        ?float $setHead = null,
        int $compressors = 0,
    ): RackMachine {
        $branches = [];
        $cooling = 0.0;
        foreach ($this->plant->branches as $branch) {
            $branches[] = $one = $this->branch($branch);
            $cooling += $one->rated();
        }
        $high = $this->plant->highSide;
        $fluid = $branches[0]->cases[0]->machine->fluid;
        $planned = $high->rack->suction ?? ($setSuction === null ? null : $fluid->dewTemperature($setSuction));
        $planned ??= self::lowestNeed($branches);
        $machine = self::holding($this->highSide($cooling, $planned, $setHead !== null), $setHead);
        $rack = new RackMachine(
            $machine,
            $branches,
            $this->compressors($compressors),
            $setSuction ?? $fluid->dewPressure($planned),
            $high->rack->liquidVolume ?? self::LIQUID * $cooling,
            self::SUCTION * $cooling,
            $high->rack->reclaimVolume ?? self::RECLAIM * $cooling,
            $high->plateCharge ?? 1.0,
        );

        return $rack->charged($this->charge($rack));
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
        $fluid = $rack->fluid();
        $planned = $rack->holding($design->suction === null ? $rack->setSuction : $fluid->dewPressure($design->suction));

        return (new RackSolver($planned, $store))->standing(0.5);
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

    /** @return non-empty-list<RackCompressor> */
    private function compressors(int $count): array
    {
        $units = $this->plant->groups[0]->compressors;
        $known = self::known(array_map(static fn (CompressorUnit $unit): ?float => $unit->capacity, $units));
        $usual = $known === [] ? 1.0 : array_sum($known) / count($known);
        $sizes = [];
        for ($i = 0; $i < max(1, $count, count($units)); $i++) {
            $sizes[] = ($units[$i] ?? null)->capacity ?? $usual;
        }
        $all = array_sum($sizes);

        $units = array_map(static fn (float $size): RackCompressor => new RackCompressor($size / $all), $sizes);
        assert($units !== []);

        return $units;
    }

    /**
     * @param  list<?float>  $all
     * @return list<float> without what nobody knows
     */
    private static function known(array $all): array
    {
        return array_values(array_filter($all, static fn (?float $one): bool => $one !== null && $one > 0.0));
    }

    /** @param  bool  $isHeld  a set point says that something holds its head */
    private function highSide(float $cooling, float $suction, bool $isHeld): Machine
    {
        $part = $this->plant->branches[0]->part;
        $circuit = $this->plant->circuit($part);
        $design = $circuit->design;
        $volumes = [$design->receiverVolume ?? self::RECEIVER * $cooling, $design->condenserVolume ?? self::CONDENSER * $cooling];
        $lumped = $circuit->alone(
            self::unrated($design)
                ->with(DesignKey::EvaporatorTd, self::DIFFERENCE)
                ->with(DesignKey::BoxSetPoint, $suction + self::COIL_OVER_HEADER + self::DIFFERENCE)
                ->with(DesignKey::Superheat, null)
                ->with(DesignKey::ReceiverVolume, $volumes[0])
                ->with(DesignKey::CondenserVolume, $volumes[1]),
        );
        $machine = (new Sizing($isHeld && $circuit->headPressureControl === null ? $lumped->asItOughtToBe() : $lumped))->machine($cooling);

        return $machine->with(compressor: $machine->compressor->otherwise(self::RESERVE));
    }

    /** With its head control set to such a pressure (Pa abs). */
    private static function holding(Machine $machine, ?float $head): Machine
    {
        $control = $machine->head->flooding(self::MOST_FLOODED);

        return $machine->with(
            head: $head === null || $control->kind === HeadPressureControl::None
                ? $control
                : $control->set($machine->fluid->bubbleTemperature($head) + self::HELD_BELOW),
        );
    }

    private function branch(Branch $branch): RackBranch
    {
        $circuit = $this->caseCircuit($branch);
        $set = $circuit->design->boxSetPoint ?? $circuit->usual()->value(DesignKey::BoxSetPoint);
        $cases = [];
        foreach ($this->alike($branch) as [$coil, $capacity, $count]) {
            $machine = (new Sizing($circuit))->machine($capacity);
            $load = new CaseLoad($coil->form, $capacity, (float) $set, $this->plant->atmosphere->pascal);
            $cases[] = new RackCase($machine, $load, $count);
        }
        $rated = 0.0;
        $flow = 0.0;
        foreach ($cases as $case) {
            $rated += $case->count * $case->load->rated;
            $flow += $case->count * $case->machine->design->massFlow;
        }
        $isRegulated = $branch->regulator?->isFitted === true || $branch->load->control === BoxControl::PressureRegulator;
        $drop = ($branch->suctionDrop ?? self::LINE_DROP) + ($isRegulated ? self::REGULATOR_DROP : 0.0);
        $first = $cases[0]->machine;
        $lost = $first->design->evaporating -
            $first->fluid->dewPressure($first->fluid->dewTemperature($first->design->evaporating) - $drop);
        $gas = $first->fluid->vapourDensity(
            $first->fluid->dewTemperature($first->design->evaporating),
            $circuit->design->superheat ?? 5.0,
        );

        return new RackBranch(
            $branch->part,
            $cases,
            (float) $set,
            ($lost * $gas) / $flow ** 2,
            $isRegulated ? 0.0 : null,
            $branch->load->defrost === DefrostKind::HotGas,
            $branch->coilVolume ?? self::COILS * $rated,
            $drop,
        );
    }

    /** A circuit as its cases are built: TD as of cases on a rack where nobody says it. */
    private function caseCircuit(Branch $branch): Circuit
    {
        $circuit = $this->plant->circuit($branch->part);
        $design = $circuit->design;

        return $circuit->ofOneCase(
            self::unrated($design)->with(
                DesignKey::EvaporatorTd,
                $design->evaporatorTd ?? self::DIFFERENCE,
            ),
        );
    }

    /** Without what a plate says of the whole plant. */
    private static function unrated(Design $design): Design
    {
        return $design->with(DesignKey::RatedCurrent, null)->with(DesignKey::NameplateCharge, null);
    }

    /** @return non-empty-list<array{Coil, float, int}> a case, its capacity (W), and how many are like it */
    private function alike(Branch $branch): array
    {
        $own = array_map(static fn (Coil $coil): ?float => $coil->capacity, $branch->coils);
        $known = self::known($own);
        $usual = $this->usualOf($branch);
        $left = $branch->capacity === null ? null : max(0.0, $branch->capacity - array_sum($known));
        $unknown = count($own) - count($known);
        $each = match (true) {
            $left !== null && $unknown > 0 && $left > 0.0 => $left / $unknown,
            $known !== [] => array_sum($known) / count($known),
            default => $usual,
        };
        $alike = [];
        foreach ($branch->coils as $coil) {
            $key = $coil->form->value ?? '';
            $alike[$key] ??= [$coil, 0.0, 0];
            $alike[$key][1] += $coil->capacity ?? $each;
            $alike[$key][2]++;
        }

        return array_values(
            array_map(static fn (array $one): array => [$one[0], $one[1] / $one[2], $one[2]], $alike),
        );
    }

    private function usualOf(Branch $branch): float
    {
        $kind = $branch->load->kind ?? Kind::CaseMedium;
        $isRoom = $kind->load() === LoadKind::Room;

        return $isRoom && $branch->coils[0]->form === null ? self::ROOM_COOLING : self::CASE_COOLING;
    }
}
