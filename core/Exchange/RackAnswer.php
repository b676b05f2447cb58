<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Diagnosis\Cautions;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\Rack\RackCheck;
use Metrum\Diagnosis\Rack\RackChecks;
use Metrum\Diagnosis\Rack\RackExamination;
use Metrum\Diagnosis\Rack\RackJudge;
use Metrum\Diagnosis\Rack\RackVerdict;
use Metrum\Findings\Figure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Findings\RackFindings;
use Metrum\Installation\Branch;
use Metrum\Installation\PartId;
use Metrum\Installation\SuctionGroup;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Unit;
use Metrum\Refrigerant\OutsideTable;

/** What a visit to a whole rack is answered (plants.md, §5): of what circuits share, and of each, in file units. */
final readonly class RackAnswer
{
    private const CHECKS = 5;

    private const OF_CIRCUIT = 3;

    private function __construct(private RackVerdict $verdict)
    {
    }

    /**
     * @return array<string, mixed>
     *
     * @throws OutsideTable where such a plant cannot be built with its refrigerant
     */
    public static function of(RackFindings $found): array
    {
        return self::saying((new RackJudge())->of(RackExamination::of($found)));
    }

    /** @return array<string, mixed> */
    public static function saying(RackVerdict $verdict): array
    {
        return (new self($verdict))->told();
    }

    /** @return array<string, mixed> */
    private function told(): array
    {
        $found = $this->verdict->examined->found;
        $checks = new RackChecks($this->verdict);

        return [
            'id' => $found->id,
            'derived' => self::derived($this->verdict->examined->shared()),
            'ranking' => $this->ofPlant(),
            'circuits' => array_map(
                fn (Branch $branch): array => $this->circuit($branch, $checks),
                $found->plant->branches,
            ),
            'level' => $this->level(),
            'limit' => $this->limit($found->plant->groups[0]),
            ...$this->groups(),
            'next_tests' => array_map($this->check(...), $checks->ranked(self::CHECKS)),
            'cautions' => $this->cautions(),
            'refused' => [],
        ];
    }

    /** @return array<string, mixed> */
    private function circuit(Branch $branch, RackChecks $checks): array
    {
        $found = $this->verdict->examined->found;
        $holding = $this->verdict->holdsOpen($branch);

        return [
            'name' => $found->nameOf($branch),
            'derived' => self::derived($this->verdict->examined->circuit($branch)),
            'ranking' => self::ranking($this->verdict->circuitRanking($branch->part)),
            'next_tests' => array_map($this->check(...), $checks->of($branch, self::OF_CIRCUIT)),
            'holds_open' => $holding === null ? null : $found->nameOf($holding),
        ];
    }

    /** Figures of it, by key. */
    private static function derived(Findings $findings): object
    {
        $figures = Figures::of($findings, new HouseRules());

        return (object) array_map(
            static fn (Figure $figure): float => round($figure->inFileUnit(), 4),
            $figures->all(),
        );
    }

    /**
     * @param  array<string, float>  $ranking
     * @return list<array{fault: string, probability: float}>
     */
    private static function ranking(array $ranking): array
    {
        $told = [];
        foreach ($ranking as $fault => $chance) {
            $told[] = ['fault' => $fault, 'probability' => round($chance, 5)];
        }

        return $told;
    }

    /** @return list<array<string, mixed>> what all share; of several suction groups, of which a fault is likeliest */
    private function ofPlant(): array
    {
        $told = [];
        foreach (self::ranking($this->verdict->plantRanking()) as $row) {
            $group = $this->verdict->groupOf(Fault::from($row['fault']));
            $told[] = $row + ($group === null ? [] : ['of' => $group->label()]);
        }

        return $told;
    }

    /** @return array{groups?: list<array<string, mixed>>} where there are several */
    private function groups(): array
    {
        $found = $this->verdict->examined->found;
        if (! $found->plant->hasSeveralGroups()) {
            return [];
        }
        $told = array_map(
            fn (SuctionGroup $group): array => [
                'name' => $group->label(),
                'derived' => self::derived($this->verdict->examined->group($group)),
                'limit' => $this->limit($group),
            ],
            $this->verdict->examined->groups(),
        );

        return ['groups' => $told];
    }

    /** @return array<string, mixed> */
    private function check(RackCheck $check): array
    {
        return [
            'reading' => $check->asked->value,
            'of' => $this->nameOf($check->of),
            'gain_bits' => round($check->gain, 4),
        ];
    }

    private function nameOf(PartId $part): string
    {
        $found = $this->verdict->examined->found;
        $named = $found->plant->named($part);

        return $named === null ? $part->value : $found->nameOf($named);
    }

    /** @return ?array<string, ?float> */
    private function level(): ?array
    {
        $expected = $this->verdict->examined->level;
        $measured = $this->verdict->examined->found->shared->reading(Reading::ReceiverLevel);
        $percent = static fn (float $share): float => round(Unit::Percent->fromSi($share), 1);

        return $expected === null
            ? null
            : [
                'expected_percent' => $percent($expected->value),
                'deviation' => $percent($expected->deviation),
                'measured' => $measured === null ? null : $percent($measured),
            ];
    }

    /** @return ?array<string, mixed> */
    private function limit(SuctionGroup $group): ?array
    {
        $branch = $this->verdict->limit($group);
        $found = $this->verdict->examined->found;
        $need = $branch === null ? null : $this->verdict->examined->needs[$branch->part->value] ?? null;

        return $branch === null || $need === null
            ? null
            : [
                'circuit' => $found->nameOf($branch),
                'suction_set_kpa' => round(Unit::Kilopascal->fromSi($need - $found->plant->atmosphere->pascal), 1),
            ];
    }

    /** @return list<string> of the refrigerant and of what leads */
    private function cautions(): array
    {
        $leading = RackVerdict::leading($this->verdict->plantRanking());
        $words = [
            ...Cautions::ofRefrigerant($this->verdict->examined->found->plant->highSide->refrigerant),
            ...Cautions::words(FaultCatalogue::entry($leading)->cautions),
        ];
        foreach ($this->verdict->examined->found->plant->branches as $branch) {
            $ranking = $this->verdict->circuitRanking($branch->part);
            $words = [...$words, ...Cautions::words(FaultCatalogue::entry(RackVerdict::leading($ranking))->cautions)];
        }

        return array_values(array_unique($words));
    }
}
