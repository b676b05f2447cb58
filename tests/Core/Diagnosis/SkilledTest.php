<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Metrum\Diagnosis\Diagnosis;
use Metrum\Diagnosis\Suspect;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Findings;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Visits;

/** What a skilled hand would say at once, and would do next. */
final class SkilledTest extends TestCase
{
    private const FREEZER = [
        'system' => ['kind' => 'walk_in_freezer', 'defrost' => 'electric', 'refrigerant' => 'R-404A'],
        'design' => ['box_set_point_c' => -20],
    ];

    /** @return iterable<string, array{array<string, string>, string}> */
    public static function seen(): iterable
    {
        yield 'all coil fans stopped' => [['evaporator_fans' => 'all_stopped'], 'evaporator_airflow_low'];
        yield 'a drain that is frozen' => [['drain' => 'blocked_or_frozen'], 'drain_blocked'];
        yield 'a door that stands open' => [['doors' => 'left_open'], 'excess_load'];
        yield 'a clock that stands' => [['defrost_clock' => 'not_turning'], 'defrost_clock_wrong'];
        yield 'a condenser fan that stands' => [['condenser_fans' => 'some_stopped'], 'condenser_airflow_low'];
        yield 'a coil shut by ice' => [['frost_coil' => 'blocked'], 'evaporator_iced'];
    }

    /** @param  array<string, string>  $told */
    #[DataProvider('seen')]
    public function test_what_is_seen_as_a_fault_leads(array $told, string $fault): void
    {
        $verdict = self::verdict(['observations' => $told] + Visits::COOLER);
        self::assertSame($fault, $verdict->first()->fault->value);
        self::assertGreaterThan(0.7, $verdict->first()->probability);
        self::assertNotSame([], $verdict->seen);
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function proven(): iterable
    {
        yield 'leak-back rises fast' => ['compressor_leak_back', 'rises_fast', 'compressor_inefficient'];
        yield 'crankcase rises' => ['crankcase_rise', 'rises', 'compressor_inefficient'];
        yield 'stands above the air' => ['non_condensable_check', 'above_ambient', 'non_condensables'];
        yield 'screen plugged' => ['valve_screen', 'plugged', 'valve_underfeeding'];
        yield 'heater leg' => ['power_to_heaters', 'one_leg_missing', 'defrost_heater_failed'];
    }

    #[DataProvider('proven')]
    public function test_a_test_that_proves_decides(string $test, string $word, string $fault): void
    {
        $plant = $test === 'power_to_heaters' ? self::FREEZER : Visits::COOLER;
        $verdict = self::verdict(['tests' => [$test => $word]] + $plant);
        self::assertSame($fault, $verdict->first()->fault->value);
        self::assertGreaterThan(0.8, $verdict->first()->probability);
    }

    /** A leak that was found may be mended already: it speaks clearly for a shortage, and does not prove one. */
    public function test_a_leak_that_was_found_speaks_clearly_for_a_shortage(): void
    {
        $plain = self::of(self::verdict(Visits::COOLER), Fault::Undercharge);
        $found = self::verdict(['tests' => ['nitrogen_or_bubble_search' => 'leak_found']] + Visits::COOLER);
        self::assertSame(Fault::Undercharge, $found->first()->fault);
        self::assertGreaterThan(3 * $plain, $found->first()->probability);
    }

    public function test_valves_that_hold_clear_the_compressor(): void
    {
        $weak = ['suction_pressure_kpa' => 420, 'discharge_pressure_kpa' => 1330, 'compressor_current_a' => 4.8];
        $before = self::chance(Visits::cooler($weak), Fault::CompressorInefficient);
        $held = Visits::cooler($weak)->with(Test::CompressorLeakBack, Word::Holds);
        self::assertGreaterThan(0.5, $before);
        $after = self::chance($held, Fault::CompressorInefficient);
        self::assertLessThan(0.5 * self::odds($before), self::odds($after));
    }

    public function test_a_box_far_too_cold_speaks_without_a_complaint(): void
    {
        $verdict = (new Diagnosis())->of(
            Visits::cooler([
                'box_temperature_c' => -4,
                'suction_pressure_kpa' => 270,
                'supply_air_temperature_c' => null,
                'suction_temperature_evaporator_c' => -4.6,
                'suction_temperature_compressor_c' => 1,
            ]),
        );
        self::assertSame(Fault::ThermostatWrong, $verdict->first()->fault);
        self::assertLessThan(0.1, self::of($verdict, Fault::NoFault));
    }

    public function test_a_warm_room_without_a_set_point_is_no_sound_one(): void
    {
        $warm = self::verdict(['readings' => ['box_temperature_c' => 16]] + ['system' => Visits::COOLER['system']]);
        $cool = self::verdict(['readings' => ['box_temperature_c' => 3]] + ['system' => Visits::COOLER['system']]);
        self::assertLessThan(0.5 * self::of($cool, Fault::NoFault), self::of($warm, Fault::NoFault));
    }

    /** @return iterable<string, array{string}> */
    public static function trips(): iterable
    {
        foreach (['off_on_overload', 'off_on_oil', 'off_on_high_pressure', 'will_not_start'] as $word) {
            yield $word => [$word];
        }
    }

    #[DataProvider('trips')]
    public function test_a_plant_that_tripped_is_not_sound(string $word): void
    {
        $verdict = self::verdict(['observations' => ['compressor' => $word]] + Visits::COOLER);
        self::assertNotSame(Fault::NoFault, $verdict->first()->fault);
        self::assertLessThan(0.02, self::of($verdict, Fault::NoFault));
    }

    public function test_a_compressor_that_its_thermostat_stopped_is_sound_where_the_box_has_its_temperature(): void
    {
        $at = static fn (float $box): Verdict => self::verdict(
            ['observations' => ['compressor' => 'off_on_thermostat'], 'readings' => ['box_temperature_c' => $box]] +
                Visits::COOLER,
        );
        self::assertSame(Fault::NoFault, $at(2.0)->first()->fault);
        self::assertSame(Fault::ThermostatWrong, $at(9.0)->first()->fault);
    }

    public function test_ice_that_a_heater_left_is_told_as_its_consequence(): void
    {
        $verdict = self::verdict(
            ['observations' => ['frost_coil' => 'blocked'], 'tests' => ['power_to_heaters' => 'one_leg_missing']] +
                self::FREEZER,
        );
        $ranked = array_map(static fn (Suspect $one): Fault => $one->fault, $verdict->ranked(2));
        self::assertSame([Fault::DefrostHeaterFailed, Fault::EvaporatorIced], $ranked);
    }

    public function test_ice_on_the_inlet_half_speaks_for_the_feed(): void
    {
        $verdict = self::verdict(
            ['observations' => ['frost_coil' => 'inlet_iced', 'sight_glass' => 'bubbles']] + Visits::COOLER,
        );
        self::assertSame(Fault::Undercharge, $verdict->first()->fault);
        self::assertGreaterThan(
            self::of($verdict, Fault::EvaporatorIced),
            self::of($verdict, Fault::LiquidLineRestriction),
        );
    }

    public function test_dirt_is_nothing_against_ice(): void
    {
        $iced = ['frost_suction_line' => 'to_compressor'];
        $chance = static fn (string $face): float => self::of(
            self::verdict(['observations' => $iced + ['evaporator_face' => $face]] + Visits::COOLER),
            Fault::EvaporatorIced,
        ) / self::of(
            self::verdict(['observations' => $iced + ['evaporator_face' => $face]] + Visits::COOLER),
            Fault::NoFault,
        );
        self::assertGreaterThan($chance('clean'), $chance('dirty'));
    }

    public function test_a_swing_makes_every_reading_of_it_a_sample(): void
    {
        $moment = Visits::cooler(['suction_temperature_evaporator_c' => -3.4]);
        self::assertSame(Fault::ValveOverfeeding, (new Diagnosis())->of($moment)->first()->fault);
        $swinging = (new Diagnosis())->of($moment->with(Reading::SuperheatSwing, 8.0));
        $apart = static fn (Verdict $verdict): float => self::of($verdict, Fault::ValveOverfeeding) /
            self::of($verdict, Fault::ValveHunting);
        self::assertLessThan(0.1 * $apart((new Diagnosis())->of($moment)), $apart($swinging));
        self::assertContains(
            Fault::ValveHunting,
            array_map(static fn (Suspect $one): Fault => $one->fault, $swinging->ranked(2)),
        );
    }

    public function test_a_part_that_nobody_named_seldom_leads(): void
    {
        $system = array_diff_key(Visits::COOLER['system'], ['evaporator_pressure_regulator' => 0]);
        $readings = ['suction_pressure_kpa' => 420, 'box_temperature_c' => 6];
        $unsaid = self::verdict(['system' => $system, 'readings' => $readings] + Visits::COOLER);
        $fitted = self::verdict(
            ['system' => ['evaporator_pressure_regulator' => true] + $system, 'readings' => $readings] + Visits::COOLER,
        );
        self::assertLessThan(
            0.4 * self::of($fitted, Fault::RegulatorSetHigh),
            self::of($unsaid, Fault::RegulatorSetHigh),
        );
    }

    public function test_no_pressure_speaks_while_the_coils_fans_stand(): void
    {
        $verdict = (new Diagnosis())->of(
            Visits::cooler(['box_temperature_c' => 16], ['observations' => ['evaporator_fans' => 'all_stopped']]),
        );
        self::assertSame(Fault::EvaporatorAirflowLow, $verdict->first()->fault);
        foreach ([...$verdict->first()->speaksFor, ...$verdict->first()->speaksAgainst] as [$piece]) {
            self::assertNull($piece->signal?->sign->row()->instrument, $piece->feature);
        }
        foreach ($verdict->checks as $check) {
            self::assertNotContains(Reading::SuctionPressure, $check->readings);
        }
    }

    public function test_a_coil_that_nobody_looked_at_is_looked_at_before_a_valve_is_named(): void
    {
        $verdict = (new Diagnosis())->of(Visits::cooler(['box_temperature_c' => 16]), 3);
        $keys = array_map(static fn ($one) => $one->key, $verdict->checks);
        self::assertNotSame([], array_intersect(
            ['frost_coil', 'evaporator_fans', 'evaporator_face', 'doors'],
            array_column($keys, 'value'),
        ));
    }

    public function test_without_its_air_a_head_is_not_judged_but_asked_for_it(): void
    {
        $verdict = self::verdict(
            ['readings' => ['suction_pressure_kpa' => 200, 'discharge_pressure_kpa' => 950]] + Visits::COOLER,
        );
        self::assertSame(Reading::AmbientTemperature, $verdict->checks[0]->key);
    }

    public function test_fans_that_rest_after_a_defrost_are_held_by_nothing_until_the_coil_had_time(): void
    {
        $rests = [
            'state' => 'after_defrost',
            'observations' => ['evaporator_fans' => 'all_stopped', 'last_defrost' => 'cleared_coil'],
        ];
        $after = static fn (int $minutes): Verdict => self::verdict([
            'readings' => [
                'fan_delay_set_c' => -4,
                'fan_delay_sensor_c' => 3.5,
                'minutes_since_disturbance_min' => $minutes,
            ],
        ] + $rests + self::FREEZER);
        self::assertSame(Fault::NoFault, $after(3)->first()->fault);
        self::assertSame(Fault::FanDelayHolding, $after(25)->first()->fault);
    }

    public function test_a_head_below_its_setting_with_gas_in_the_receiver_names_the_valve_that_lets_it_by(): void
    {
        $system = ['head_pressure_control' => 'flooding_valve'] + Visits::COOLER['system'];
        $plant = ['system' => $system] + Visits::COOLER;
        $at = static fn (float $ambient, float $head): Verdict => self::verdict([
            'readings' => [
                'ambient_temperature_c' => $ambient,
                'box_temperature_c' => 5,
                'discharge_pressure_kpa' => $head,
                'suction_pressure_kpa' => 330,
                'condenser_outlet_temperature_c' => $ambient + 6,
                'receiver_outlet_temperature_c' => $ambient + 17,
            ],
        ] + $plant);
        foreach ([[5, 1050], [9, 1100]] as [$ambient, $head]) {
            $verdict = $at($ambient, $head);
            $named = array_map(static fn (Suspect $one): Fault => $one->fault, $verdict->ranked(3));
            self::assertContains(Fault::HeadPressureValveBypassing, $named, "$ambient °C, $head kPa");
            $next = array_column(array_column(array_slice($verdict->checks, 0, 3), 'key'), 'value');
            self::assertNotSame([], array_intersect($next, [
                'receiver_level_percent',
                'head_pressure_valve_bypass_line',
                'receiver_feel',
            ]), 'what tells it from a missing charge comes next');
        }
    }

    public function test_too_much_refrigerant_and_foreign_gas_are_parted_by_standing_still(): void
    {
        $none = ['receiver_outlet_temperature_c' => null, 'receiver_level_percent' => null];
        $file = Visits::COOLER;
        $file['system'] = ['receiver' => false] + $file['system'];
        $findings = Visits::of([
            'readings' => array_filter(
                [
                    ...Visits::HEALTHY,
                    'discharge_pressure_kpa' => 2250,
                    'condenser_outlet_temperature_c' => 34,
                    ...$none,
                ],
                static fn (mixed $one): bool => $one !== null,
            ),
            'observations' => ['condenser_face' => 'clean', 'condenser_fans' => 'all_running'],
        ] + $file);
        $keys = array_map(static fn ($one) => $one->key, (new Diagnosis())->of($findings, 3)->checks);
        self::assertContains(Test::NonCondensableCheck, $keys);
        self::assertNotContains(Reading::ReceiverOutletTemperature, $keys);
    }

    public function test_a_condenser_is_washed_only_once_dirt_was_seen_there(): void
    {
        $hot = Visits::cooler([
            'discharge_pressure_kpa' => 2250,
            'condenser_outlet_temperature_c' => 46,
            'receiver_outlet_temperature_c' => 46,
            'condenser_air_out_temperature_c' => 44,
        ]);
        $keys = static fn ($findings): array => array_map(
            static fn ($one) => $one->key,
            (new Diagnosis())->of($findings, 6)->checks,
        );
        self::assertNotContains(Test::CondenserWashed, $keys($hot));
        self::assertContains(Observation::CondenserFace, $keys($hot));
        self::assertContains(
            Test::CondenserWashed,
            $keys($hot->with(Observation::CondenserFace, Word::Dirty)),
        );
    }

    public function test_an_ice_machine_has_no_box_that_heat_comes_into(): void
    {
        $verdict = self::verdict([
            'system' => ['kind' => 'ice_machine', 'refrigerant' => 'R-404A', 'receiver' => false],
            'complaint' => ['low_production'],
            'readings' => ['freeze_time_min' => 35],
        ]);
        self::assertSame(0.0, self::of($verdict, Fault::ExcessLoad));
    }

    public function test_more_complaints_never_make_a_plant_sounder(): void
    {
        $told = [];
        $before = 1.0;
        foreach ([Complaint::HighEnergy, Complaint::Alarm, Complaint::TooWarm, Complaint::RunsAllTheTime] as $one) {
            $told[] = $one->value;
            $now = self::of(self::verdict(['complaint' => $told] + Visits::COOLER), Fault::NoFault);
            self::assertLessThanOrEqual($before + 1e-9, $now, $one->value);
            $before = $now;
        }
    }

    /** @param  array<string, mixed>  $file */
    private static function verdict(array $file): Verdict
    {
        return (new Diagnosis())->of(Visits::of($file));
    }

    private static function chance(Findings $findings, Fault $fault): float
    {
        return self::of((new Diagnosis())->of($findings), $fault);
    }

    private static function odds(float $chance): float
    {
        return $chance / (1 - $chance);
    }

    private static function of(Verdict $verdict, Fault $fault): float
    {
        foreach ($verdict->suspects as $suspect) {
            if ($suspect->fault === $fault) {
                return $suspect->probability;
            }
        }

        return 0.0;
    }
}
