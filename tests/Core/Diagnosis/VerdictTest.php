<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Eris\Generators;
use Eris\TestTrait;
use Metrum\Diagnosis\Check;
use Metrum\Diagnosis\Diagnosis;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\Suspect;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Findings;
use Metrum\Installation\Kind;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Effort;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use Metrum\Language\Sentence;
use Metrum\Quantity\Units;
use Metrum\Refrigerant\Library;
use PHPUnit\Framework\TestCase;
use Tests\Core\Visits;

final class VerdictTest extends TestCase
{
    use TestTrait;

    public function test_it_answers_from_complaint_and_kind_alone(): void
    {
        foreach (Kind::cases() as $kind) {
            foreach (Complaint::cases() as $complaint) {
                $verdict = (new Diagnosis())->of(
                    Visits::of([
                        'system' => ['kind' => $kind->value, 'refrigerant' => 'R-404A'],
                        'complaint' => [$complaint->value],
                    ]),
                    checks: 3,
                );
                self::assertEqualsWithDelta(
                    1.0,
                    array_sum(
                        array_map(static fn (Suspect $one): float => $one->probability, $verdict->suspects),
                    ),
                    1e-9,
                );
                self::assertCount(3, $verdict->checks, $kind->value.' '.$complaint->value);
                // Before any tool is fetched: the first thing to do is to look, listen or feel, or to read a
                // thermometer.
                self::assertContains(
                    $verdict->checks[0]->effort,
                    [Effort::Look, Effort::Hand, Effort::Clamp],
                    $kind->value.' '.$complaint->value.': '.$verdict->checks[0]->title(),
                );
            }
        }
    }

    public function test_no_weather_and_no_box_is_too_much_for_it_whatever_the_refrigerant(): void
    {
        foreach (Library::known()->names() as $name) {
            foreach ([[-40, -45], [38, 3], [60, 40]] as [$ambient, $box]) {
                $verdict = (new Diagnosis())->of(
                    Visits::of([
                        'system' => ['kind' => 'case_medium', 'refrigerant' => $name],
                        'readings' => ['ambient_temperature_c' => $ambient, 'box_temperature_c' => $box],
                    ]),
                    checks: 0,
                );
                self::assertEqualsWithDelta(
                    1.0,
                    array_sum(
                        array_map(static fn (Suspect $one): float => $one->probability, $verdict->suspects),
                    ),
                    1e-9,
                    $name.' at '.$ambient,
                );
            }
        }
    }

    public function test_a_complaint_moves_the_ranking_its_way(): void
    {
        $of = static fn (string $complaint): Verdict => (new Diagnosis())->of(
            Visits::of([...Visits::COOLER, 'state' => 'running_settled', 'complaint' => [$complaint]]),
            checks: 0,
        );
        self::assertGreaterThan(
            self::share($of('noisy'), Fault::EvaporatorIced),
            self::share($of('iced_up'), Fault::EvaporatorIced),
        );
        self::assertGreaterThan(
            self::share($of('too_warm'), Fault::ThermostatWrong),
            self::share($of('too_cold'), Fault::ThermostatWrong),
        );
        self::assertGreaterThan(
            self::share($of('too_warm'), Fault::DrainBlocked),
            self::share($of('water_leak'), Fault::DrainBlocked),
        );
        self::assertGreaterThan(
            self::share($of('too_warm'), Fault::NoFault),
            self::share($of('none'), Fault::NoFault),
        );
    }

    public function test_whatever_is_known_it_sums_to_one_and_is_never_null(): void
    {
        $readings = array_keys(Visits::HEALTHY);
        $this->limitTo(60)
            ->forAll(
                Generators::subset($readings),
                Generators::subset(Observation::cases()),
                Generators::subset(Test::cases()),
                Generators::choose(0, 1000),
            )
            ->then(function (array $measured, array $seen, array $tests, int $dice): void {
                $findings = Visits::of([
                    ...Visits::COOLER,
                    'readings' => array_intersect_key(Visits::HEALTHY, array_flip($measured)),
                ]);
                foreach ([...$seen, ...$tests] as $i => $asked) {
                    $words = $asked->words();
                    $findings = $findings->with($asked, $words[($dice + $i) % count($words)]);
                }
                $verdict = (new Diagnosis())->of($findings, checks: 2);
                $sum = 0.0;
                $before = 1.0;
                foreach ($verdict->suspects as $suspect) {
                    self::assertGreaterThan(0.0, $suspect->probability);
                    self::assertLessThanOrEqual($before, $suspect->probability);
                    $before = $suspect->probability;
                    $sum += $suspect->probability;
                }
                self::assertEqualsWithDelta(1.0, $sum, 1e-9);
                self::assertCount(self::possible(), $verdict->suspects);
            });
    }

    public function test_what_is_missing_weighs_nothing(): void
    {
        $known = Visits::of([...Visits::COOLER, 'complaint' => ['too_warm']]);
        $before = (new Diagnosis())->of($known, checks: 0);
        // "Not fitted" tells nothing about faults beyond a slip of the eye.
        $after = (new Diagnosis())->of($known->with(Observation::SightGlass, Word::NotFitted), checks: 0);
        foreach ($before->suspects as $suspect) {
            self::assertEqualsWithDelta(
                $suspect->probability,
                self::share($after, $suspect->fault),
                0.05,
                $suspect->fault->value,
            );
        }
    }

    public function test_evidence_is_told_with_a_weight_and_the_right_sign(): void
    {
        $verdict = (new Diagnosis())->of(
            Visits::cooler(
                [
                    'suction_pressure_kpa' => 215,
                    'receiver_outlet_temperature_c' => 36.4,
                    'receiver_level_percent' => 2,
                ],
                ['observations' => ['sight_glass' => 'bubbles', 'oil_stains' => 'none']],
            ),
            checks: 0,
        );
        $first = $verdict->first();
        self::assertSame(Fault::Undercharge, $first->fault);
        self::assertNotSame([], $first->speaksFor);
        $before = INF;
        foreach ($first->speaksFor as [$piece, $weight]) {
            self::assertGreaterThan(0.0, $weight);
            self::assertLessThanOrEqual($before, $weight);
            $before = $weight;
        }
        $against = array_map(static fn (array $pair): ?string => $pair[0]->asked?->value, $first->speaksAgainst);
        self::assertContains('oil_stains', $against);
    }

    public function test_not_settled_widens_and_says_why(): void
    {
        $readings = [
            'suction_pressure_kpa' => 240,
            'suction_temperature_evaporator_c' => 1.6,
            'minutes_since_disturbance_min' => 4,
        ];
        $settled = (new Diagnosis())->of(
            Visits::cooler(['minutes_since_disturbance_min' => 60] + $readings),
            checks: 0,
        );
        $starting = (new Diagnosis())->of(Visits::cooler($readings, ['state' => 'starting']), checks: 0);
        self::assertSame([], $settled->settled->reasons());
        self::assertCount(2, $starting->settled->reasons());
        self::assertStringContainsString('system is just started', $starting->settled->reasons()[0]->in(new Units()));
        $since = $starting->settled->reasons()[1]->in(new Units());
        self::assertStringContainsString('since last disturbance', $since);
        self::assertGreaterThan(
            $settled->signals['td_suction']->expected->deviation,
            $starting->signals['td_suction']->expected->deviation,
        );
        self::assertLessThan(
            abs($settled->signals['td_suction']->deviations()),
            abs($starting->signals['td_suction']->deviations()),
        );
    }

    public function test_a_state_that_nobody_gave_is_not_taken_for_settled(): void
    {
        $verdict = (new Diagnosis())->of(Visits::of(['readings' => Visits::HEALTHY]), checks: 0);
        self::assertNotSame([], $verdict->settled->reasons());
    }

    public function test_a_confirmed_fault_leaves_the_ranking_and_explains_its_signs(): void
    {
        $readings = [
            'discharge_pressure_kpa' => 2150,
            'receiver_outlet_temperature_c' => 44.5,
            'condenser_outlet_temperature_c' => 44.9,
            'compressor_current_a' => 8.9,
            'discharge_temperature_c' => 88,
        ];
        $before = (new Diagnosis())->of(
            Visits::cooler($readings, ['observations' => ['condenser_face' => 'dirty']]),
            checks: 0,
        );
        $after = (new Diagnosis())->of(
            Visits::cooler($readings, [
                'observations' => ['condenser_face' => 'dirty'],
                'confirmed' => ['condenser_airflow_low'],
            ]),
            checks: 0,
        );
        self::assertSame(Fault::CondenserAirflowLow, $before->first()->fault);
        self::assertCount(self::possible() - 1, $after->suspects);
        self::assertNotContains(
            Fault::CondenserAirflowLow,
            array_map(static fn (Suspect $one): Fault => $one->fault, $after->suspects),
        );
        self::assertGreaterThan(self::share($before, Fault::NoFault), self::share($after, Fault::NoFault));
        self::assertLessThan(0.3, self::share($after, Fault::NonCondensables), 'the head is explained already');
    }

    public function test_a_second_fault_shows_once_the_first_is_confirmed(): void
    {
        $readings = [
            'discharge_pressure_kpa' => 2150,
            'suction_pressure_kpa' => 470,
            'suction_temperature_compressor_c' => 7,
            'box_temperature_c' => 7,
            'supply_air_temperature_c' => 5,
            'pump_down_floor_kpa' => 130,
            'pump_down_rise_kpa_per_min' => 100,
            'compressor_current_a' => 6.0,
        ];
        $verdict = (new Diagnosis())->of(
            Visits::cooler($readings, [
                'observations' => ['condenser_face' => 'dirty'],
                'tests' => ['compressor_leak_back' => 'rises_fast'],
                'confirmed' => ['condenser_airflow_low'],
            ]),
            checks: 0,
        );
        self::assertSame(Fault::CompressorInefficient, $verdict->first()->fault);
    }

    public function test_a_fault_ruled_out_against_the_evidence_is_doubted(): void
    {
        $findings = Visits::cooler(
            [
                'suction_pressure_kpa' => 215,
                'receiver_outlet_temperature_c' => 36.4,
                'receiver_level_percent' => 2,
            ],
            ['observations' => ['sight_glass' => 'bubbles', 'frost_coil' => 'inlet_only']],
        );
        $ruled = new Findings(
            $findings->circuit,
            $findings->state,
            [],
            $findings->readings,
            $findings->observations,
            [],
            [],
            [Fault::Undercharge],
        );
        $verdict = (new Diagnosis())->of($ruled, checks: 0);
        self::assertSame([Fault::Undercharge], $verdict->doubtfulRulings);
        self::assertNotSame(Fault::Undercharge, $verdict->first()->fault);
    }

    public function test_with_every_fault_ruled_out_nothing_more_is_wrong(): void
    {
        $all = new Findings(Visits::cooler()->circuit, ruledOut: Fault::cases());
        $verdict = (new Diagnosis())->of($all);
        self::assertSame(Fault::NoFault, $verdict->first()->fault);
        self::assertEqualsWithDelta(1.0, $verdict->first()->probability, 1e-9);
    }

    public function test_refrigerant_is_never_proposed_before_the_gate_is_open(): void
    {
        $short = [
            'suction_pressure_kpa' => 215,
            'receiver_outlet_temperature_c' => 36.4,
            'receiver_level_percent' => 2,
        ];
        $shut = (new Diagnosis())->of(
            Visits::cooler($short, ['observations' => ['sight_glass' => 'bubbles']]),
            checks: 0,
        );
        self::assertFalse($shut->charge->isOpen());
        self::assertSame(
            ['coil: fans and face', 'condenser: fans and face', 'filter-drier: drop or touch'],
            array_map(static fn (Sentence $one): string => $one->in(new Units()), $shut->charge->reasons()),
        );
        $told = static fn (string|Sentence $one): string => is_string($one) ? $one : $one->in(new Units());
        foreach ($shut->ranked(5) as $suspect) {
            foreach ($shut->remedies($suspect) as $line) {
                self::assertDoesNotMatchRegularExpression('/weigh in|add (the|some) refrigerant/i', $told($line));
            }
        }
        self::assertStringContainsString('Do not add refrigerant yet', $told($shut->remedies($shut->first())[0]));
        self::assertStringContainsString('Do not add refrigerant yet', $shut->cautions[0]);
        $looked = [
            'sight_glass' => 'bubbles',
            'evaporator_fans' => 'all_running',
            'evaporator_face' => 'clean',
            'condenser_fans' => 'all_running',
            'condenser_face' => 'clean',
            'liquid_line_feel' => 'no_change',
        ];
        $open = (new Diagnosis())->of(Visits::cooler($short, ['observations' => $looked]), checks: 0);
        self::assertTrue($open->charge->isOpen());
        self::assertContains(
            'Charge by nameplate weight, or to a clear sight glass plus margin; log every addition in the ledger.',
            $open->remedies($open->first()),
        );
    }

    public function test_a_stopped_plant_is_not_judged_by_its_pressures(): void
    {
        $verdict = (new Diagnosis())->of(
            Visits::cooler(
                ['suction_pressure_kpa' => 600, 'discharge_pressure_kpa' => 640, 'ambient_temperature_c' => 8],
                ['state' => 'off'],
            ),
            checks: 0,
        );
        self::assertArrayNotHasKey('td_suction', $verdict->signals);
        self::assertArrayNotHasKey('split', $verdict->signals);
    }

    public function test_dangers_are_said_first(): void
    {
        $hot = (new Diagnosis())->of(Visits::cooler(['discharge_temperature_c' => 112]), checks: 0);
        self::assertStringContainsString('Discharge line at or above its limit', $hot->cautions[0]);
        $wet = (new Diagnosis())->of(Visits::cooler(['suction_temperature_compressor_c' => -2.0]), checks: 0);
        self::assertStringContainsString('liquid may be returning', $wet->cautions[0]);
        $flammable = (new Diagnosis())->of(Visits::of(['system' => ['refrigerant' => 'R-290']]), checks: 0);
        self::assertStringContainsString('Flammable', implode(' ', $flammable->cautions));
        $ammonia = (new Diagnosis())->of(Visits::of(['system' => ['refrigerant' => 'R-717']]), checks: 0);
        self::assertStringContainsString('Trained ammonia technicians only', implode(' ', $ammonia->cautions));
    }

    /** Nothing read yet says nothing of what would keep a plant from running. */
    public function test_a_box_too_warm_is_no_shut_solenoid_before_anybody_looked(): void
    {
        $verdict = (new Diagnosis())->of(
            Visits::of(['system' => Visits::COOLER['system'], 'complaint' => ['too_warm']]),
            checks: 0,
        );
        $shut = self::share($verdict, Fault::LiquidSolenoidShut);
        self::assertNotSame(Fault::LiquidSolenoidShut, $verdict->first()->fault);
        self::assertLessThan(0.1, $shut);
        $standing = (new Diagnosis())->of(
            Visits::of(['system' => Visits::COOLER['system'], 'complaint' => ['too_warm'], 'state' => 'off']),
            checks: 0,
        );
        self::assertGreaterThan(3 * $shut, self::share($standing, Fault::LiquidSolenoidShut));
    }

    public function test_the_next_check_settles_what_is_open(): void
    {
        // Gas leaves as warm as the air: a starved coil. Its liquid side is unknown, so what tells a shortage from a
        // restriction comes before the rest.
        $findings = Visits::of([
            ...Visits::COOLER,
            'complaint' => ['too_warm'],
            'readings' => [
                'suction_pressure_kpa' => 215,
                'suction_temperature_evaporator_c' => 5.2,
                'box_temperature_c' => 6,
                'ambient_temperature_c' => 25,
                'discharge_pressure_kpa' => 1450,
            ],
        ]);
        $verdict = (new Diagnosis())->of($findings, checks: 6);
        $liquid = [
            'sight_glass',
            'receiver_level_percent',
            'receiver_outlet_temperature_c',
            'condenser_outlet_temperature_c',
            'liquid_line_feel',
            'drier_inlet_temperature_c',
            'drier_outlet_temperature_c',
            'valve_inlet_temperature_c',
            'frost_coil',
            'valve_sound',
            'receiver_feel',
        ];
        self::assertContains($verdict->checks[0]->key->value, $liquid);
        foreach ($verdict->checks as $check) {
            self::assertGreaterThan(0.0, $check->gain);
            self::assertGreaterThan(0, $check->minutes);
            self::assertNotSame('', $check->how);
            self::assertGreaterThanOrEqual(2, count($check->outcomes), $check->key->value);
            self::assertEqualsWithDelta(
                1.0,
                array_sum(array_map(static fn ($outcome): float => $outcome->chance, $check->outcomes)),
                0.06,
                $check->key->value,
            );
        }
        $keys = array_map(static fn (Check $check): string => $check->key->value, $verdict->checks);
        self::assertSame($keys, array_unique($keys));
    }

    public function test_an_answered_check_is_not_asked_again_and_its_outcome_was_foretold(): void
    {
        $findings = Visits::of([...Visits::COOLER, 'complaint' => ['too_warm']]);
        for ($round = 0; $round < 12; $round++) {
            $verdict = (new Diagnosis())->of($findings, checks: 8);
            $check = null;
            foreach ($verdict->checks as $one) {
                if (! ($one->key instanceof Reading)) {
                    $check = $one;
                    break;
                }
            }
            if ($check === null) {
                break;
            }
            $outcome = $check->outcomes[0];
            self::assertNotNull($outcome->word);
            $findings = $findings->with($check->key, $outcome->word);
            $after = (new Diagnosis())->of($findings, checks: 8);
            self::assertNotContains($check->key, array_map(static fn (Check $one) => $one->key, $after->checks));
            if ($outcome->leads === $after->first()->fault) {
                self::assertEqualsWithDelta(
                    $outcome->probability,
                    $after->first()->probability,
                    0.15,
                    $check->key->value,
                );
            }
        }
        self::assertGreaterThan(4, $round);
    }

    public function test_outcomes_below_what_can_be_are_not_offered(): void
    {
        $verdict = (new Diagnosis())->of(
            Visits::of([
                ...Visits::COOLER,
                'complaint' => ['too_warm'],
                'readings' => ['drier_inlet_temperature_c' => 31],
            ]),
            checks: 40,
        );
        $bounded = 0;
        foreach ($verdict->checks as $check) {
            $least = $check->sign?->row()->least;
            foreach ($least === null ? [] : $check->outcomes as $outcome) {
                $bounded++;
                self::assertTrue($outcome->to === null || $outcome->to > $least, $check->sign->value ?? '');
            }
        }
        self::assertGreaterThan(3, $bounded);
    }

    private static function share(Verdict $verdict, Fault $fault): float
    {
        foreach ($verdict->suspects as $suspect) {
            if ($suspect->fault === $fault) {
                return $suspect->probability;
            }
        }

        return 0.0;
    }

    /** How many faults the walk-in cooler of the tests can have, by the parts that it has. */
    private static function possible(): int
    {
        $circuit = Visits::of(Visits::COOLER)->circuit;

        return count(
            array_filter(
                Fault::cases(),
                static fn (Fault $fault): bool => FaultCatalogue::entry($fault)->fit->asks($circuit),
            ),
        );
    }

    public function test_nothing_on_the_other_side_of_what_is_expected_is_told_for_a_fault(): void
    {
        $told = 0;
        $cold = ['box_temperature_c' => -4];
        foreach ([[], $cold, ['suction_pressure_kpa' => 120], ['discharge_pressure_kpa' => 900]] as $odd) {
            $verdict = (new Diagnosis())->of(Visits::cooler($odd), 0, 6);
            foreach ($verdict->suspects as $suspect) {
                foreach ($suspect->speaksFor as [$piece]) {
                    $told++;
                    $words = $suspect->fault->value.' '.$piece->feature;
                    self::assertFalse($piece->isOnOtherSide($suspect->fault), $words);
                }
            }
        }
        self::assertGreaterThan(20, $told);
    }
}
