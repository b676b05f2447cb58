<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Rack;

use Metrum\Installation\Branch;
use Metrum\Installation\DefrostKind;
use Metrum\Installation\SuctionGroup;
use Metrum\Knowledge\Fault;

/** Weighs one plant: what its circuits share, and each circuit, by curves that were learned and words of the files. */
final readonly class RackScale
{
    /** Nats for a fault that was confirmed on site. */
    public const PROVEN = 12.0;

    private RackCurves $ofPlant;

    private RackCurves $ofCircuit;

    public function __construct(?RackCurves $ofPlant = null, ?RackCurves $ofCircuit = null)
    {
        $this->ofPlant = $ofPlant ?? RackCurves::learned(plant: true);
        $this->ofCircuit = $ofCircuit ?? RackCurves::learned(plant: false);
    }

    public function plant(RackExamination $examined): RackWeighing
    {
        if ($examined->found->plant->hasSeveralGroups()) {
            return $this->groups($examined);
        }
        $numbers = self::numbers((new PlantSigns($examined))->all(), $this->ofPlant);

        return new RackWeighing(
            $this->ofPlant,
            [
                ...$numbers,
                ...$this->words($examined),
                ...$this->wordsOf($examined, $examined->found->plant->groups[0]),
                ...self::proven($examined->found->shared->confirmed, $this->ofPlant->faults),
            ],
            self::notOfPlant($examined),
        );
    }

    /** @return list<RackEvidence> */
    private function words(RackExamination $examined): array
    {
        return (new RackWords($examined))->ofPlant($this->ofPlant->faults);
    }

    /** @return list<RackEvidence> */
    private function wordsOf(RackExamination $examined, SuctionGroup $group): array
    {
        return (new RackWords($examined))->ofGroup($group, $this->ofPlant->faults);
    }

    private function groups(RackExamination $examined): RackWeighing
    {
        $signs = new PlantSigns($examined);
        $headers = $groups = [];
        foreach ($examined->groups() as $group) {
            $part = $group->part->value;
            $found = $examined->found->of($group->part);
            $headers[$part] = [
                ...self::numbers($signs->ofGroup($group), $this->ofPlant),
                ...$this->wordsOf($examined, $group),
                ...self::proven($found->confirmed, $this->ofPlant->faults),
            ];
            $branches = $examined->found->plant->branchesOf($group);
            $groups[$part] = [...$headers[$part], ...self::numbers($signs->ofCircuits($branches), $this->ofPlant)];
        }

        return (new GroupWeighing($this->ofPlant))->of(
            [
                ...self::numbers($signs->ofAll(), $this->ofPlant),
                ...$this->words($examined),
                ...self::proven($examined->found->shared->confirmed, $this->ofPlant->faults),
            ],
            self::numbers($signs->ofCircuits($examined->found->plant->branches), $this->ofPlant),
            $groups,
            $headers,
            self::notOfPlant($examined),
        );
    }

    public function circuit(RackExamination $examined, Branch $branch): RackWeighing
    {
        $numbers = self::numbers((new CircuitSigns($examined, $branch))->all(), $this->ofCircuit);
        $words = (new RackWords($examined))->ofCircuit($branch, $this->ofCircuit->faults);
        $found = $examined->found->of($branch->part);
        $proven = self::proven($found->confirmed, $this->ofCircuit->faults);

        return new RackWeighing($this->ofCircuit, [...$numbers, ...$words, ...$proven], [
            ...self::notOfCircuit($branch),
            ...$found->ruledOut,
        ]);
    }

    /**
     * @param  array<string, float>  $signs  SI
     * @return list<RackEvidence>
     */
    private static function numbers(array $signs, RackCurves $curves): array
    {
        $evidence = [];
        foreach ($signs as $key => $value) {
            $sign = RackSign::from($key);
            $weights = $curves->weights($sign, $value);
            if ($weights !== null) {
                $evidence[] = new RackEvidence($weights, $sign, $value);
            }
        }

        return $evidence;
    }

    /**
     * @param  list<Fault>  $confirmed
     * @param  list<Fault>  $faults
     * @return list<RackEvidence>
     */
    private static function proven(array $confirmed, array $faults): array
    {
        return array_map(
            static fn (Fault $one): RackEvidence => new RackEvidence(
                array_map(static fn (Fault $fault): float => $fault === $one ? self::PROVEN : 0.0, $faults),
                confirmed: $one,
            ),
            $confirmed,
        );
    }

    /** @return list<Fault> */
    public static function notOfPlant(RackExamination $examined): array
    {
        return [
            ...$examined->found->shared->ruledOut,
            ...$examined->found->plant->highSide->headPressureControl?->isFitted() === false
                ? [Fault::HeadPressureLow]
                : [],
        ];
    }

    /** @return list<Fault> */
    public static function notOfCircuit(Branch $branch): array
    {
        return [
            ...$branch->regulator?->isFitted === false ? [Fault::RegulatorSetHigh, Fault::RegulatorSetLow] : [],
            ...$branch->load->defrost !== null && $branch->load->defrost !== DefrostKind::HotGas
                ? [Fault::HotGasLeaking]
                : [],
        ];
    }
}
