<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Rack;

use Metrum\Diagnosis\Rack\RackChecks;
use Metrum\Diagnosis\Rack\RackExamination;
use Metrum\Diagnosis\Rack\RackJudge;
use Metrum\Diagnosis\Rack\RackVerdict;
use Metrum\Findings\RackFindings;
use Metrum\Installation\Branch;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Reading;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Racks;

/** What all circuits share and each of them are judged together: every sign and word moves what it should. */
final class RackJudgeTest extends TestCase
{
    /** What that rack reads in health, beside what all circuits share. */
    private const SOUND = [
        'discharge_pressure_kpa' => 1330,
        'head_set_kpa' => 950,
        'receiver_level_percent' => 50,
        'receiver_outlet_temperature_c' => 27.2,
        'condenser_outlet_temperature_c' => 27.2,
        'discharge_temperature_c' => 75,
        'suction_temperature_compressor_c' => 8,
    ];

    /** Of a case in health: air and bulb, °C. */
    private const CASES = [
        'Dairy 1' => [3.1, 2.0],
        'Dairy 2' => [2.9, 1.8],
        'Dairy 3' => [3.0, 2.1],
        'Deli 1' => [4.1, 2.9],
        'Deli 2' => [3.9, 2.8],
        'Produce 1' => [5.1, 4.2],
        'Fish 1' => [0.4, -1.5],
    ];

    public function test_a_sound_rack_is_sound(): void
    {
        $verdict = self::judged();

        self::assertSame(Fault::NoFault, RackVerdict::leading($verdict->plantRanking()));
        foreach (['circuit 1', 'circuit 2', 'circuit 4'] as $part) {
            self::assertSame(Fault::NoFault, RackVerdict::leading($verdict->circuitRanking(PartId::of($part))), $part);
        }
    }

    /** A coil below its header cannot be: it is asked again, and is no evidence until then. */
    public function test_what_cannot_be_is_asked_again_and_weighs_nothing(): void
    {
        $swapped = ['Dairy' => ['readings' => ['evaporator_pressure_kpa' => 180]]];
        $examined = RackExamination::of(self::found(circuits: $swapped));
        self::assertCount(1, $examined->contradictions);
        [$part, $contradiction] = $examined->contradictions[0];
        self::assertSame('circuit 1', $part->value);
        self::assertContains(Reading::EvaporatorPressure, $contradiction->repeat);
        $circuit = PartId::circuit();
        self::assertNull($examined->found->of($circuit)->reading(Reading::EvaporatorPressure));
        self::assertEqualsWithDelta(
            self::judged()->circuitRanking($circuit)['no_fault'],
            (new RackJudge())->of($examined)->circuitRanking($circuit)['no_fault'],
            0.05,
        );
        $right = ['Dairy' => ['readings' => ['evaporator_pressure_kpa' => 318]]];
        self::assertSame([], RackExamination::of(self::found(circuits: $right))->contradictions);
    }

    /** What is seen at a warm case leads; at a cold one it is put right too, and nothing is wrong but that. */
    public function test_what_is_seen_at_a_warm_case_leads(): void
    {
        $circuit = PartId::circuit();
        foreach (['all_stopped', 'some_stopped'] as $fans) {
            $case = ['readings' => ['box_temperature_c' => 8.2], 'observations' => ['evaporator_fans' => $fans]];
            $found = Racks::of(cases: ['Dairy 3' => $case]);
            $ranking = (new RackJudge())->of(RackExamination::of($found))->circuitRanking($circuit);
            self::assertSame(Fault::EvaporatorAirflowLow, RackVerdict::leading($ranking), $fans);
            self::assertLessThan(0.15, $ranking['no_fault']);
            self::assertEqualsWithDelta(1.0, array_sum($ranking), 1e-6);
        }
    }

    /** The head is kept up by the others while a circuit stands still. */
    public function test_a_circuit_that_stands_doubts_nothing_that_all_share(): void
    {
        $off = ['Dairy' => ['state' => 'off'], 'Fish' => ['state' => 'in_defrost']];

        self::assertSame([], RackExamination::of(self::found(circuits: $off))->contradictions);
    }

    /** Three circuits in defrost, reclaim on, a night with covers: the level stands elsewhere, and should. */
    public function test_what_moves_the_level_by_itself_is_no_fault(): void
    {
        $defrost = ['state' => 'in_defrost'];
        $resting = RackExamination::of(
            self::found(
                ['discharge_pressure_kpa' => 1190, 'compressors_running' => 1],
                circuits: ['Dairy' => $defrost, 'Deli' => $defrost, 'Produce' => $defrost],
            ),
        );
        $usual = RackExamination::of(self::found());
        self::assertGreaterThan($usual->level?->value, $resting->level?->value);
        self::assertSame(
            Fault::NoFault,
            RackVerdict::leading((new RackJudge())->of($resting)->plantRanking()),
        );
        $reclaiming = RackExamination::of(self::found(observations: ['heat_reclaim' => 'on']));
        self::assertLessThan($usual->level?->value, $reclaiming->level?->value);
        $low = ['receiver_level_percent' => 38];
        $chance = static fn (RackVerdict $verdict): float => $verdict->plantRanking()[Fault::Undercharge->value];
        self::assertLessThan(
            $chance(self::judged($low)),
            $chance(self::judged($low, ['heat_reclaim' => 'on'])),
            'a low level is what reclaim makes',
        );
    }

    /** @return iterable<string, array{array<string, float|int|null>, array<string, string>, Fault}> */
    public static function ofPlant(): iterable
    {
        yield 'a receiver that is nearly empty' => [['receiver_level_percent' => 8], [], Fault::Undercharge];
        yield 'a receiver that is full' => [
            ['receiver_level_percent' => 97, 'discharge_pressure_kpa' => 1600],
            [],
            Fault::Overcharge,
        ];
        yield 'a split far over its own' => [
            [
                'discharge_pressure_kpa' => 2050,
                'condenser_outlet_temperature_c' => 42,
                'receiver_outlet_temperature_c' => 41,
            ],
            ['condenser_face' => 'dirty'],
            Fault::CondenserAirflowLow,
        ];
        yield 'a header over its set point though compressors stand' => [
            ['suction_header_kpa' => 350, 'compressors_running' => 1],
            [],
            Fault::CompressorOut,
        ];
        yield 'a set point too warm for the neediest' => [
            ['suction_header_kpa' => 345, 'suction_set_kpa' => 345],
            [],
            Fault::SuctionSetWrong,
        ];
        yield 'a head far under its set point in the cold' => [
            ['discharge_pressure_kpa' => 640, 'head_set_kpa' => 950, 'ambient_temperature_c' => -2],
            [],
            Fault::HeadPressureLow,
        ];
    }

    /**
     * @param  array<string, float|int|null>  $readings
     * @param  array<string, string>  $observations
     */
    #[DataProvider('ofPlant')]
    public function test_a_sign_of_what_is_shared_moves_what_is_shared(
        array $readings,
        array $observations,
        Fault $fault,
    ): void {
        $chance = static fn (RackVerdict $verdict): float => $verdict->plantRanking()[$fault->value] ?? 0.0;
        $now = self::judged($readings, $observations);

        self::assertGreaterThan(2 * $chance(self::judged()), $chance($now));
        $first = array_slice(array_keys($now->plantRanking()), 0, 3);
        self::assertContains($fault->value, $first, implode(' ', $first));
    }

    public function test_a_valve_shows_in_one_circuit_and_a_shortage_in_all(): void
    {
        $starved = static fn (string ...$names): array => array_map(
            static fn (array $case): array => [$case[0] + 4.0, $case[0] + 3.7],
            array_intersect_key(self::CASES, array_flip($names)),
        );
        $one = self::judged(cases: $starved('Fish 1'));
        $fish = $one->circuitRanking(PartId::circuit(4));
        self::assertLessThan(0.5, $fish[Fault::NoFault->value], 'four kelvin too warm with little read of it');
        self::assertContains(Fault::ValveUnderfeeding->value, array_slice(array_keys($fish), 0, 3));
        self::assertSame(Fault::NoFault, RackVerdict::leading($one->plantRanking()));
        self::assertSame(Fault::NoFault, RackVerdict::leading($one->circuitRanking(PartId::circuit(2))));

        $all = self::judged(
            ['receiver_level_percent' => 2],
            ['sight_glass' => 'bubbles'],
            cases: $starved(...array_keys(self::CASES)),
        );
        self::assertSame(Fault::Undercharge, RackVerdict::leading($all->plantRanking()));
    }

    /** @return iterable<string, array{string, string, Fault}> */
    public static function ofCase(): iterable
    {
        yield 'a broken curtain' => ['air_curtain', 'broken', Fault::ExcessLoad];
        yield 'a blocked return grille' => ['air_curtain', 'blocked_return', Fault::EvaporatorAirflowLow];
        yield 'warm product' => ['product', 'hot_or_new_load', Fault::ExcessLoad];
        yield 'ice on the coil' => ['frost_coil', 'blocked', Fault::EvaporatorIced];
    }

    #[DataProvider('ofCase')]
    public function test_what_is_seen_at_a_case_moves_its_circuit_alone(string $asked, string $word, Fault $fault): void
    {
        $warm = self::CASES;
        $warm['Dairy 2'][0] += 3.0;
        $before = self::judged(cases: $warm);
        $after = self::judged(cases: $warm, seen: ['Dairy 2' => [$asked => $word]]);
        $chance = static fn (RackVerdict $verdict, int $circuit): float => $verdict->circuitRanking(
            PartId::circuit($circuit),
        )[$fault->value];

        self::assertGreaterThan(1.2 * $chance($before, 1), $chance($after, 1));
        self::assertEqualsWithDelta($chance($before, 2), $chance($after, 2), 0.02);
    }

    public function test_a_fan_that_stands_is_said_before_the_ice_that_it_left(): void
    {
        $warm = self::CASES;
        $warm['Dairy 2'] = [9.0, 0.5];
        $seen = ['frost_coil' => 'blocked', 'evaporator_fans' => 'some_stopped'];
        $order = array_keys(
            self::judged(cases: $warm, seen: ['Dairy 2' => $seen])->circuitRanking(PartId::circuit(1)),
        );
        $iced = array_search(Fault::EvaporatorIced->value, $order, true);

        self::assertLessThan($iced, array_search(Fault::EvaporatorAirflowLow->value, $order, true));
        self::assertContains(Fault::EvaporatorAirflowLow->value, array_slice($order, 0, 2));
    }

    /** A level far below what it should be is a shortage, whatever a fan does at one case. */
    public function test_one_warm_case_does_not_excuse_an_empty_receiver(): void
    {
        $warm = self::CASES;
        $warm['Dairy 3'] = [6.5, 2.4];
        $low = self::judged(['receiver_level_percent' => 12], cases: $warm);

        self::assertSame(Fault::Undercharge, RackVerdict::leading($low->plantRanking()));
    }

    public function test_a_circuit_that_is_shut_cools_nothing_and_is_no_limit(): void
    {
        $verdict = self::judged(circuits: ['Fish' => ['observations' => ['shut' => 'by_us']]]);

        self::assertNotSame('circuit 4', self::limit($verdict)?->part->value);
        self::assertSame('circuit 4', self::limit(self::judged())?->part->value);
        self::assertSame(0.0, $verdict->examined->now?->circuits['circuit 4']->cooling);
    }

    private static function limit(RackVerdict $verdict): ?Branch
    {
        return $verdict->limit($verdict->examined->found->plant->groups[0]);
    }

    public function test_the_case_that_holds_a_regulator_open_is_named(): void
    {
        $warm = self::CASES;
        $warm['Dairy 3'][0] += 4.0;
        $dairy = self::judged(cases: $warm);
        $branch = $dairy->examined->found->plant->branches[0];
        self::assertSame('Dairy 3', $dairy->examined->found->nameOf($dairy->holdsOpen($branch) ?? $branch));

        $alike = array_map(static fn (array $one): array => [$one[0] + 4.0, $one[1]], self::CASES);
        $all = self::judged(cases: $alike);
        self::assertNull($all->holdsOpen($all->examined->found->plant->branches[0]), 'all of them are warm');
    }

    public function test_what_is_asked_next_is_asked_of_where_it_tells_most(): void
    {
        $warm = self::CASES;
        $warm['Deli 1'] = [8.5, 7.9];
        $checks = (new RackChecks(self::judged(cases: $warm)))->ranked(5);

        self::assertNotSame([], $checks);
        $gains = array_map(static fn ($one): float => $one->gain, $checks);
        self::assertGreaterThan(0.0, min($gains));
        $of = array_map(static fn ($one): string => $one->of->root(), $checks);
        self::assertContains('circuit 2', $of, 'the deli is what is warm');
    }

    /**
     * @param  array<string, float|int|null>  $readings
     * @param  array<string, string>  $observations
     * @param  array<string, array<string, mixed>>  $circuits
     * @param  array<string, array{float, float}>  $cases
     * @param  array<string, array<string, string>>  $seen
     */
    private static function judged(
        array $readings = [],
        array $observations = [],
        array $circuits = [],
        array $cases = [],
        array $seen = [],
    ): RackVerdict {
        return (new RackJudge())->of(
            RackExamination::of(self::found($readings, $observations, $circuits, $cases, $seen)),
        );
    }

    /**
     * @param  array<string, float|int|null>  $readings
     * @param  array<string, string>  $observations
     * @param  array<string, array<string, mixed>>  $circuits
     * @param  array<string, array{float, float}>  $cases  air and bulb by name
     * @param  array<string, array<string, string>>  $seen
     */
    private static function found(
        array $readings = [],
        array $observations = [],
        array $circuits = [],
        array $cases = [],
        array $seen = [],
    ): RackFindings {
        $rows = [];
        foreach ($cases + self::CASES as $name => [$air, $bulb]) {
            $rows[$name] = [
                'readings' => ['box_temperature_c' => $air, 'suction_temperature_evaporator_c' => $bulb],
                'observations' => (object) ($seen[$name] ?? []),
            ];
        }
        $coils = ['Dairy' => 391, 'Deli' => 405, 'Produce' => 428, 'Fish' => 305, 'Room' => 314];
        foreach ($coils as $name => $pressure) {
            $circuits[$name] = ($circuits[$name] ?? []) + ['readings' => ['evaporator_pressure_kpa' => $pressure]];
        }
        $observations += ['sight_glass' => 'clear', 'condenser_fans' => 'all_running'];

        return Racks::of($readings + self::SOUND, $observations, $circuits, $rows);
    }
}
