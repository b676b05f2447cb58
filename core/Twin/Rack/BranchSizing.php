<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

use Metrum\Installation\BoxControl;
use Metrum\Installation\Branch;
use Metrum\Installation\Circuit;
use Metrum\Installation\Coil;
use Metrum\Installation\DefrostKind;
use Metrum\Installation\Design;
use Metrum\Installation\DesignKey;
use Metrum\Installation\Installation;
use Metrum\Installation\Kind;
use Metrum\Installation\LoadKind;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Twin\Sizing;

/** Sizes one circuit of a rack: each case for its capacity at its own design point, and the line to the header. */
final readonly class BranchSizing
{
    /** W of one case and of one room of which nobody said the capacity. */
    private const CASE_COOLING = 2200.0;

    private const ROOM_COOLING = 5000.0;

    /** K of dew that a suction line takes at its rated flow, and a regulator that is wide open. */
    private const LINE_DROP = 1.0;

    private const REGULATOR_DROP = 0.8;

    public function __construct(private Installation $plant)
    {
    }

    /** @throws OutsideTable where such a case cannot be built with its refrigerant */
    public function branch(Branch $branch): RackBranch
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
        $isHeld = $branch->load->control === BoxControl::PressureRegulator;
        $isRegulated = $branch->regulator?->isFitted === true || $isHeld;
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
            $branch->coilVolume ?? RackSizing::COILS * $rated,
            $drop,
            $this->plant->group($branch)->part,
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
                $design->evaporatorTd ?? RackSizing::DIFFERENCE,
            ),
        );
    }

    /** Without what a plate says of the whole plant. */
    public static function unrated(Design $design): Design
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

    /**
     * @param  list<?float>  $all
     * @return list<float> without what nobody knows
     */
    public static function known(array $all): array
    {
        return array_values(array_filter($all, static fn (?float $one): bool => $one !== null && $one > 0.0));
    }
}
