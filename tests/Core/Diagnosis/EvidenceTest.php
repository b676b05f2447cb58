<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Metrum\Diagnosis\Contradiction;
use Metrum\Diagnosis\Diagnosis;
use Metrum\Diagnosis\Gate;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Findings;
use Metrum\Findings\Sign;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Language\Sentence;
use Metrum\Quantity\Units;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Visits;

/** What counts as evidence, in which state it was taken, and what it must never let be said. */
final class EvidenceTest extends TestCase
{
    private static function verdict(Findings $findings): Verdict
    {
        return (new Diagnosis())->of($findings);
    }

    private static function share(Findings $findings, Fault $fault): float
    {
        foreach (self::verdict($findings)->suspects as $suspect) {
            if ($suspect->fault === $fault) {
                return $suspect->probability;
            }
        }

        return 0.0;
    }

    /** @return iterable<string, array{array<string, float>, string, list<string>}> readings, a piece, the doubted */
    public static function impossible(): iterable
    {
        yield 'drier clamps swapped' => [
            ['drier_inlet_temperature_c' => 30, 'drier_outlet_temperature_c' => 34],
            'warmer after the filter-drier than before it',
            ['drier_inlet_temperature_c', 'drier_outlet_temperature_c'],
        ];
        yield 'superheat above TD' => [
            ['suction_temperature_evaporator_c' => 14, 'suction_temperature_compressor_c' => 15],
            'gas cannot leave the coil warmer than the air entering it',
            ['suction_temperature_evaporator_c', 'box_temperature_c', 'suction_pressure_kpa'],
        ];
        yield 'the suction pipe colder at its end' => [
            ['suction_temperature_evaporator_c' => 2, 'suction_temperature_compressor_c' => -3.6],
            'colder at the compressor than at the bulb',
            ['suction_temperature_evaporator_c', 'suction_temperature_compressor_c'],
        ];
        yield 'a hot head over a cold condenser' => [
            ['discharge_pressure_kpa' => 2900, 'condenser_outlet_temperature_c' => 24],
            'is more than a condenser can give',
            ['discharge_pressure_kpa', 'condenser_outlet_temperature_c'],
        ];
    }

    /**
     * @param  array<string, float>  $readings
     * @param  list<string>  $doubted
     */
    #[DataProvider('impossible')]
    public function test_what_is_impossible_is_no_evidence_until_it_was_taken_twice(
        array $readings,
        string $piece,
        array $doubted,
    ): void {
        $findings = Visits::cooler($readings);
        $verdict = self::verdict($findings);
        $said = array_map(
            static fn (Contradiction $one): string => $one->what->in(new Units()),
            $verdict->contradictions,
        );
        self::assertStringContainsString($piece, implode(' ', $said));
        self::assertEqualsCanonicalizing($doubted, array_column($verdict->doubted, 'value'));
        foreach ($verdict->signals as $signal) {
            self::assertSame([], array_intersect($doubted, array_column($signal->sign->row()->needs, 'value')));
        }
        $again = self::verdict(
            new Findings(
                $findings->circuit,
                $findings->state,
                readings: $findings->readings,
                repeated: $doubted,
            ),
        );
        self::assertSame([], $again->doubted, 'taken twice, it counts');
        self::assertNotSame([], $again->contradictions, 'and is still named');
    }

    public function test_pipes_as_warm_as_the_air_ask_whether_it_is_the_one(): void
    {
        $findings = Visits::of([
            ...Visits::COOLER,
            'readings' => [
                'ambient_temperature_c' => 24,
                'box_temperature_c' => 4,
                'discharge_temperature_c' => 24.5,
                'condenser_outlet_temperature_c' => 24.2,
                'suction_temperature_compressor_c' => 23.6,
                'suction_temperature_evaporator_c' => 4.4,
            ],
        ]);
        $verdict = self::verdict($findings);
        self::assertStringContainsString(
            'Is this the right circuit?',
            $verdict->contradictions[0]->what->in(new Units()),
        );
        self::assertContains(Reading::DischargeTemperature, $verdict->doubted);
        $running = self::verdict(Visits::cooler(['discharge_temperature_c' => 66]));
        foreach ($running->contradictions as $one) {
            self::assertStringNotContainsString('Is this the right circuit?', $one->what->in(new Units()));
        }
    }

    public function test_a_head_read_while_running_is_no_standing_pressure(): void
    {
        $running = [Reading::DischargePressure->value => State::RunningSettled];
        $standing = [Reading::DischargePressure->value => State::Off];
        $head = static fn (array $states): Findings => new Findings(
            Visits::of(Visits::COOLER)->circuit,
            State::Off,
            readings: ['discharge_pressure_kpa' => 1550e3, 'ambient_temperature_c' => 298.15],
            states: $states,
        );
        $said = static fn (Findings $one): string => implode(
            ' ',
            array_map(
                static fn (Contradiction $one): string => $one->what->in(new Units()),
                self::verdict($one)->contradictions,
            ),
        );
        self::assertStringNotContainsString('standing pressure', $said($head($running)));
        self::assertStringContainsString('Standing pressure does not match R', $said($head($standing)));
    }

    public function test_what_was_read_while_it_ran_still_counts_when_it_is_off(): void
    {
        $settled = Visits::cooler(['suction_pressure_kpa' => 215]);
        $states = array_fill_keys(array_keys($settled->readings), State::RunningSettled);
        $off = new Findings($settled->circuit, State::Off, readings: $settled->readings, states: $states);
        self::assertSame(
            array_keys(self::verdict($settled)->signals),
            array_keys(self::verdict($off)->signals),
        );
        $never = new Findings($settled->circuit, State::Off, readings: $settled->readings);
        self::assertArrayNotHasKey('td_suction', self::verdict($never)->signals);
    }

    public function test_a_standing_pressure_above_saturation_speaks_for_foreign_gas_by_its_figure(): void
    {
        $standing = static fn (float $kpa): Findings => Visits::of([
            ...Visits::COOLER,
            'state' => 'off',
            'readings' => ['discharge_pressure_kpa' => $kpa, 'ambient_temperature_c' => 25],
        ]);
        $fluid = $standing(1000)->circuit->fluid();
        $at = ($fluid->bubblePressure(298.15) - 101325) / 1e3;
        $above = ($fluid->bubblePressure(298.15 + 5.0) - 101325) / 1e3;
        self::assertEqualsWithDelta(5.0, self::verdict($standing($above))->signals['standing']->measured, 0.1);
        self::assertGreaterThan(
            2 * self::share($standing($at), Fault::NonCondensables),
            self::share($standing($above), Fault::NonCondensables),
        );
    }

    public function test_a_vacuum_is_evidence_without_a_box_temperature(): void
    {
        $bare = static fn (float $kpa): Findings => Visits::of([
            ...Visits::COOLER,
            'readings' => ['suction_pressure_kpa' => $kpa],
        ]);
        self::assertLessThan(
            0.25 * self::share($bare(345), Fault::NoFault),
            self::share($bare(-40), Fault::NoFault),
        );
    }

    public function test_a_discharge_far_above_expected_never_lets_it_run_as_it_should(): void
    {
        $hot = Visits::cooler(['discharge_temperature_c' => 128]);
        self::assertNotSame(Fault::NoFault, self::verdict($hot)->first()->fault);
        $ranked = array_map(static fn ($one): Fault => $one->fault, self::verdict($hot)->ranked(3));
        self::assertContains(Fault::CompressorInefficient, $ranked);
    }

    /** @return iterable<string, array{string, float}> */
    public static function cuts(): iterable
    {
        yield 'a cut-out far too high' => ['low_cut_out_kpa', 330.0];
        yield 'a cut-in far too high' => ['low_cut_in_kpa', 620.0];
    }

    #[DataProvider('cuts')]
    public function test_a_control_that_cuts_at_the_wrong_pressure_leads(string $reading, float $kpa): void
    {
        $wrong = Visits::cooler([$reading => $kpa], ['complaint' => ['short_cycling']]);
        self::assertSame(Fault::LowPressureControlWrong, self::verdict($wrong)->first()->fault);
    }

    public function test_receiver_pressure_alone_serves_for_condensing_and_split(): void
    {
        $readings = ['receiver_pressure_kpa' => 1549.6] + Visits::HEALTHY;
        unset($readings['discharge_pressure_kpa']);
        $verdict = self::verdict(Visits::of([...Visits::COOLER, 'readings' => $readings]));
        self::assertArrayHasKey('split', $verdict->signals);
        self::assertNotNull($verdict->figures->value(DerivedFigure::SaturatedCondensing));
    }

    public function test_head_is_not_judged_while_it_starts_or_pulls_down(): void
    {
        $high = ['discharge_pressure_kpa' => 2150];
        self::assertArrayHasKey('split', self::verdict(Visits::cooler($high))->signals);
        foreach (['starting', 'pulling_down'] as $state) {
            self::assertArrayNotHasKey(
                'split',
                self::verdict(Visits::cooler($high, ['state' => $state]))->signals,
            );
        }
        $warm = Visits::cooler($high + ['box_temperature_c' => 14, 'suction_temperature_evaporator_c' => 9]);
        self::assertArrayNotHasKey('split', self::verdict($warm)->signals);
    }

    public function test_bubbles_weigh_less_after_a_start(): void
    {
        $odds = static function (string $state, array $seen): float {
            $visit = Visits::of([...Visits::COOLER, 'state' => $state, 'observations' => $seen]);
            $share = self::share($visit, Fault::Undercharge);

            return $share / (1 - $share);
        };
        // By how much the glass raises a shortage; what the state itself says of one stays out of it.
        $glass = static fn (string $state): float => $odds($state, ['sight_glass' => 'bubbles']) / $odds($state, []);
        self::assertGreaterThan(3.0, $glass('running_settled'));
        foreach (['starting', 'after_defrost', 'pulling_down'] as $state) {
            self::assertLessThan(0.6 * $glass('running_settled'), $glass($state), $state);
            self::assertGreaterThan(1.0, $glass($state), $state);
        }
    }

    public function test_fans_that_stand_in_defrost_are_as_they_should_be(): void
    {
        $fans = static fn (string $state): float => self::share(
            Visits::of([
                ...Visits::COOLER,
                'state' => $state,
                'observations' => ['evaporator_fans' => 'all_stopped'],
            ]),
            Fault::EvaporatorAirflowLow,
        );
        self::assertGreaterThan(2 * $fans('in_defrost'), $fans('running_settled'));
        $counted = Visits::of([
            ...Visits::COOLER,
            'state' => 'in_defrost',
            'readings' => ['fans_running' => 0, 'fans_fitted' => 3],
        ]);
        self::assertArrayNotHasKey(Sign::Fans->value, self::verdict($counted)->signals);
    }

    public function test_counted_fans_and_heater_amps_lead_to_what_they_tell_of(): void
    {
        $missing = Visits::cooler(['fans_running' => 1, 'fans_fitted' => 3], ['complaint' => ['too_warm']]);
        self::assertSame(Fault::EvaporatorAirflowLow, self::verdict($missing)->first()->fault);
        $cold = Visits::of([
            'system' => ['kind' => 'walk_in_freezer', 'refrigerant' => 'R-448A', 'defrost' => 'electric'],
            'complaint' => ['iced_up'],
            'readings' => ['heater_current_a' => 4, 'heater_rated_current_a' => 12],
        ]);
        self::assertSame(Fault::DefrostHeaterFailed, self::verdict($cold)->first()->fault);
    }

    public function test_nothing_that_is_as_planned_is_told_for_a_fault(): void
    {
        $told = 0;
        foreach ([4.0, 9.0, 14.0] as $box) {
            foreach (self::verdict(Visits::cooler(['box_temperature_c' => $box]))->suspects as $suspect) {
                $planned = array_filter(
                    [...$suspect->speaksFor, ...$suspect->speaksAgainst],
                    static fn (array $one): bool => $one[0]->isAsPlanned(),
                );
                $told += count($planned);
                foreach ($suspect->fault === Fault::NoFault ? [] : $planned as [$piece]) {
                    self::assertNotContains($piece, array_column($suspect->speaksFor, 0), $suspect->fault->value);
                }
            }
        }
        self::assertGreaterThan(0, $told, 'it is told for a sound plant, and against faults');
    }

    public function test_a_cold_day_without_head_control_is_told_as_that(): void
    {
        $circuit = ['head_pressure_control' => 'none', 'condenser' => 'air_outdoor'] + Visits::COOLER['system'];
        $cold = Visits::of([
            ...Visits::COOLER,
            'system' => $circuit,
            'readings' => [
                'ambient_temperature_c' => -8,
                'box_temperature_c' => 4.5,
                'discharge_pressure_kpa' => 560,
                'suction_pressure_kpa' => 240,
                'suction_temperature_evaporator_c' => 0.5,
                'receiver_outlet_temperature_c' => 0,
            ],
        ]);
        self::assertSame(Fault::HeadPressureLow, self::verdict($cold)->first()->fault);
    }

    public function test_a_blocked_coil_and_standing_fans_close_the_pressures(): void
    {
        $said = [
            'frost_coil' => 'coil is iced up, so pressures cannot be judged',
            'evaporator_fans' => 'coil fans are off, so pressures cannot be judged',
        ];
        foreach (['frost_coil' => 'blocked', 'evaporator_fans' => 'all_stopped'] as $question => $word) {
            $gate = self::verdict(Visits::cooler([], ['observations' => [$question => $word]]))->settled;
            self::assertFalse($gate->isOpen());
            self::assertStringContainsString($said[$question], Gate::why($gate->shut())->in(new Units()));
        }
        self::assertTrue(self::verdict(Visits::cooler([]))->settled->isOpen());
    }

    /** @return iterable<string, array{array<string, float>, string}> */
    public static function full(): iterable
    {
        yield 'a full receiver' => [['receiver_level_percent' => 95], 'receiver level is 95 %'];
        yield 'liquid backed up' => [['receiver_outlet_temperature_c' => 17], 'liquid subcooled by'];
        yield 'kilograms added' => [['added_kg' => 3], '3.00 kg already added'];
    }

    /** @param  array<string, float>  $readings */
    #[DataProvider('full')]
    public function test_nothing_is_weighed_into_a_plant_that_is_full(array $readings, string $why): void
    {
        $verdict = self::verdict(Visits::cooler($readings));
        self::assertFalse($verdict->charge->isOpen());
        foreach ($verdict->suspects as $suspect) {
            if (Verdict::isShortage($suspect->fault)) {
                $told = static fn (string|Sentence $one): string => is_string($one) ? $one : $one->in(new Units());
                $advice = implode(' ', array_map($told, $verdict->remedies($suspect)));
                self::assertStringContainsString('Do not add refrigerant: '.$why, $advice);
                self::assertStringNotContainsString('Weigh in', $advice);
            }
        }
    }

    public function test_ammonia_is_referred_and_nothing_else_is_said(): void
    {
        $verdict = self::verdict(
            Visits::of([
                'system' => ['refrigerant' => 'R-717', 'kind' => 'walk_in_cooler'],
                'complaint' => ['too_warm'],
            ]),
        );
        self::assertNotNull($verdict->referral);
        self::assertSame([], $verdict->checks);
        foreach ($verdict->ranked(5) as $suspect) {
            self::assertSame([$verdict->referral], $verdict->remedies($suspect));
        }
        self::assertNull(self::verdict(Visits::of(Visits::COOLER))->referral);
    }

    public function test_what_is_not_fitted_cannot_fail_nor_be_asked_for(): void
    {
        $plain = self::verdict(Visits::of([...Visits::COOLER, 'complaint' => ['too_warm']]));
        $faults = array_map(static fn ($one): Fault => $one->fault, $plain->suspects);
        foreach (
            [
                Fault::RegulatorSetHigh,
                Fault::WaterFeedFault,
                Fault::DefrostHeaterFailed,
                Fault::WinterUndercharge,
            ] as $none
        ) {
            self::assertNotContains($none, $faults);
        }
        $ice = (new Diagnosis())->of(
            Visits::of([
                'system' => ['kind' => 'ice_machine', 'refrigerant' => 'R-404A'],
                'complaint' => ['low_production'],
            ]),
            checks: 60,
        );
        $asked = array_map(static fn ($one): string => (string) $one->key->value, $ice->checks);
        self::assertSame(
            [],
            array_intersect(['doors', 'product', 'evaporator_fans', 'evaporator_face'], $asked),
        );
        self::assertGreaterThan(5, count($asked));
    }

    public function test_nothing_more_wrong_is_said_so(): void
    {
        $proven = self::verdict(Visits::cooler([], ['confirmed' => ['condenser_airflow_low']]));
        self::assertSame(Fault::NoFault, $proven->first()->fault);
        self::assertSame('No further fault', $proven->nameOf($proven->first()));
        $plain = self::verdict(Visits::cooler([]));
        self::assertSame('No fault, normal operation', $plain->nameOf($plain->first()));
    }
}
