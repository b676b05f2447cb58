<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Metrum\Diagnosis\Contradictions;
use Metrum\Diagnosis\Gate;
use Metrum\Diagnosis\Gates;
use Metrum\Diagnosis\Holding;
use Metrum\Diagnosis\Requirement;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Findings\Mark;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Language\Reason;
use Metrum\Quantity\Units;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Visits;

/** Each gate shuts and opens, for each of its conditions, in the right direction. */
final class GatesTest extends TestCase
{
    private static function gates(Findings $findings): Gates
    {
        $rules = new HouseRules();

        return new Gates($findings, Figures::of($findings, $rules), $rules);
    }

    /** @param  array<string, mixed>  $more */
    private static function healthy(array $more = []): Findings
    {
        return Visits::of(array_replace_recursive(Visits::COOLER, ['readings' => Visits::HEALTHY], $more));
    }

    public function test_a_condition_holds_fails_or_is_not_known(): void
    {
        self::assertSame(Holding::Holds, Requirement::mustHold(true, Reason::NotRead)->holding);
        self::assertSame(Holding::Fails, Requirement::mustHold(false, Reason::NotRead)->holding);
        self::assertSame(Holding::Holds, Requirement::mustBeKnown(true, Reason::NotRead, [])->holding);
        self::assertSame(Holding::NotKnown, Requirement::mustBeKnown(false, Reason::NotRead, [])->holding);
        self::assertSame(Mark::Fine, Holding::Holds->mark());
        self::assertSame(Mark::Look, Holding::NotKnown->mark());
        self::assertSame(Mark::Act, Holding::Fails->mark());
    }

    public function test_a_gate_is_shut_by_any_and_tells_only_what_keeps_it_shut(): void
    {
        $gate = new Gate([
            Requirement::mustHold(true, Reason::AllRunning),
            Requirement::mustHold(false, Reason::CoilFansStand),
            Requirement::mustBeKnown(false, Reason::SignLevel, [Reading::ReceiverLevel]),
        ]);

        self::assertFalse($gate->isOpen());
        self::assertSame(
            'coil fans are off, so pressures cannot be judged; the receiver level',
            Gate::why($gate->shut())->in(new Units()),
        );
        self::assertSame([Reading::ReceiverLevel], $gate->shut()[1]->settledBy);
        self::assertTrue((new Gate([]))->isOpen());
    }

    /** @return iterable<string, array{array<string, mixed>, bool, string}> */
    public static function settling(): iterable
    {
        $readings = static fn (string $key, float $value): array => ['readings' => [$key => $value]];
        yield 'settled' => [[], true, ''];
        yield 'nobody said' => [['state' => null], false, 'system state not entered'];
        yield 'starting' => [['state' => 'starting'], false, 'system is just started'];
        yield 'pulling down' => [['state' => 'pulling_down'], false, 'pulling down'];
        yield 'too soon' => [$readings('minutes_since_disturbance_min', 4), false, '4 min since'];
        yield 'long enough' => [$readings('minutes_since_disturbance_min', 60), true, ''];
        yield 'warm box' => [$readings('box_temperature_c', 8), false, 'above set point'];
        yield 'box a little warm' => [$readings('box_temperature_c', 6.5), true, ''];
    }

    /** @param  array<string, mixed>  $more */
    #[DataProvider('settling')]
    public function test_readings_are_judged_once_the_plant_has_settled(
        array $more,
        bool $open,
        string $why,
    ): void {
        $file = array_replace_recursive(Visits::COOLER, ['readings' => Visits::HEALTHY], $more);
        $settled = self::gates(
            Visits::of(array_filter($file, static fn (mixed $one): bool => $one !== null)),
        )->settled();

        self::assertSame($open, $settled->isOpen());
        self::assertStringContainsString($why, Gate::why($settled->shut())->in(new Units()));
    }

    /** @return iterable<string, array{array<string, mixed>, list<string>}> what was looked at, and what is open */
    public static function looks(): iterable
    {
        $airflow = [
            'evaporator_fans' => 'all_running',
            'evaporator_face' => 'clean',
            'condenser_fans' => 'all_running',
            'condenser_face' => 'clean',
        ];
        $drier = ['liquid_line_feel' => 'no_change'];
        $seal = ['readings' => ['receiver_level_percent' => 40], 'observations' => ['sight_glass' => 'clear']];
        yield 'nothing' => [[], ['subcooling', 'coil', 'condenser', 'filter-drier']];
        yield 'airflow alone' => [['observations' => $airflow], ['subcooling', 'filter-drier']];
        yield 'a level without its glass' => [
            ['readings' => ['receiver_level_percent' => 40], 'observations' => $airflow + $drier],
            ['subcooling'],
        ];
        yield 'fans without their face' => [
            array_replace_recursive($seal, [
                'observations' => ['evaporator_fans' => 'all_running', 'condenser_fans' => 'all_running'] + $drier,
            ]),
            ['coil', 'condenser'],
        ];
        yield 'all' => [array_replace_recursive($seal, ['observations' => $airflow + $drier]), []];
    }

    /**
     * @param  array<string, mixed>  $seen
     * @param  list<string>  $open
     */
    #[DataProvider('looks')]
    public function test_refrigerant_waits_until_it_was_looked(array $seen, array $open): void
    {
        $charge = self::gates(Visits::of($seen + Visits::COOLER))->charge();

        self::assertSame($open === [], $charge->isOpen());
        self::assertCount(count($open), $charge->shut());
        foreach ($open as $i => $word) {
            self::assertStringStartsWith($word, $charge->reasons()[$i]->in(new Units()));
            self::assertNotSame([], $charge->shut()[$i]->settledBy, 'what would tell');
        }
    }

    public function test_a_measured_subcooling_stands_for_level_and_glass(): void
    {
        $why = static fn (Findings $findings): string => Gate::why(
            self::gates($findings)->charge()->shut(),
        )->in(new Units());

        self::assertStringNotContainsString('subcooling', $why(self::healthy()));
        self::assertStringContainsString('subcooling', $why(Visits::of(Visits::COOLER)));
    }

    public function test_a_visit_is_ended_when_it_is_proven_settled_and_without_contradiction(): void
    {
        $findings = self::healthy();
        $contradicted = self::healthy(['readings' => ['suction_temperature_evaporator_c' => -30]]);
        $contradictions = Contradictions::in($contradicted, new HouseRules());
        self::assertNotSame([], $contradictions);

        self::assertTrue(self::gates($findings)->closing([], ranWell: true)->isOpen());
        self::assertSame(
            [Holding::Holds, Holding::Holds, Holding::NotKnown],
            self::holdings(self::gates($findings)->closing([], ranWell: false)),
        );
        self::assertSame(
            [Holding::Holds, Holding::Fails, Holding::Holds],
            self::holdings(self::gates($findings)->closing($contradictions, ranWell: true)),
        );
        self::assertSame(
            [Holding::Fails, Holding::Holds, Holding::Holds],
            self::holdings(self::gates(self::healthy(['state' => 'starting']))->closing([], ranWell: true)),
        );
        $confirmed = self::healthy(['confirmed' => ['undercharge']]);
        self::assertTrue(self::gates($confirmed)->closing([], ranWell: false)->isOpen());
    }

    /** @return list<Holding> */
    private static function holdings(Gate $gate): array
    {
        return array_map(static fn (Requirement $one): Holding => $one->holding, $gate->requirements);
    }
}
