<?php

declare(strict_types=1);

namespace Tests\Core\Bench;

use Metrum\Bench\Calculator;
use Metrum\Data\Refused;
use Metrum\Exchange\CalculatorQuestion;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Each calculator against figures worked by hand. R-134a saturates (published tables) at 200.6 kPa abs at −10 °C,
 * 292.8 at 0 °C, 770.2 at 30 °C, 1016.6 at 40 °C; liquid at 0 °C weighs 1294.8 kg/m³, vapour 14.43.
 */
final class CalculatorsTest extends TestCase
{
    private const FLUID = ['refrigerant' => 'R-134a'];

    /** Figures are good to so much: tables and rounding. */
    private const CLOSE = 0.06;

    /** @return iterable<string, array{string, array<string, mixed>, array<string, mixed>}> */
    public static function sums(): iterable
    {
        yield 'superheat' => [
            'superheat',
            self::FLUID + ['suction_pressure_kpa' => 200.6 - 101.325, 'suction_temperature_evaporator_c' => -4.0],
            ['saturated_evaporator_c' => -10.0, 'evaporator_superheat_k' => 6.0],
        ];
        yield 'superheat high up, where the air weighs less' => [
            'superheat',
            self::FLUID + [
                'suction_pressure_kpa' => 200.6 - 80,
                'suction_temperature_evaporator_c' => -4,
                'atmospheric_kpa' => 80,
            ],
            ['saturated_evaporator_c' => -10.0, 'evaporator_superheat_k' => 6.0],
        ];
        yield 'subcooling' => [
            'subcooling',
            self::FLUID + ['receiver_pressure_kpa' => 1016.6 - 101.325, 'condenser_outlet_temperature_c' => 35],
            ['saturated_condensing_c' => 40.0, 'subcooling_k' => 5.0],
        ];
        yield 'subcooling below zero is not cut off' => [
            'subcooling',
            self::FLUID + ['receiver_pressure_kpa' => 1016.6 - 101.325, 'condenser_outlet_temperature_c' => 43],
            ['subcooling_k' => -3.0],
        ];
        yield 'a single fluid has no glide to fall into' => [
            'superheat_glide_trap',
            self::FLUID + ['suction_pressure_kpa' => 200.6 - 101.325, 'suction_temperature_evaporator_c' => -4],
            [
                'evaporator_superheat_k' => 6.0,
                'glide_k' => 0.0,
                'wrong_superheat_if_bubble_is_used_k' => 6.0,
            ],
        ];
        // 24 h are 96 cycles of 15 min.
        yield 'a weighed batch of ice' => [
            'ice_per_day',
            ['ice_per_cycle_kg' => 5.0, 'freeze_time_min' => 13.0, 'harvest_time_min' => 2.0],
            ['ice_per_day_kg' => 480.0, 'cycles_per_day' => 96.0],
        ];
        // Each kg takes 333.6 kJ and 4.19 for each kelvin: 375.5 from 10 °C, 396.5 from 15, 421.6 from 21.
        yield 'ice at the rated point is what is rated' => [
            'ice_at_other_conditions',
            ['ice_per_day_kg' => 400, 'ice_per_day_hot_kg' => 320, 'air_c' => 21, 'water_c' => 10],
            ['ice_per_day_here_kg' => 400.0, 'of_rated_percent' => 100.0],
        ];
        yield 'ice with warmer water alone' => [
            'ice_at_other_conditions',
            ['ice_per_day_kg' => 400, 'ice_per_day_hot_kg' => 320, 'air_c' => 21, 'water_c' => 15],
            ['ice_per_day_here_kg' => 400 * 375.5 / 396.45],
        ];
        yield 'ice in hot air with warm water' => [
            'ice_at_other_conditions',
            ['ice_per_day_kg' => 400, 'ice_per_day_hot_kg' => 320, 'air_c' => 32, 'water_c' => 21],
            ['ice_per_day_here_kg' => 320.0],
        ];
        yield 'water and energy of ice' => [
            'ice_water_and_energy',
            ['ice_per_cycle_kg' => 5, 'ice_per_day_kg' => 400, 'water_per_cycle_l' => 8, 'power_kw' => 2],
            [
                'water_per_day_l' => 640.0,
                'water_per_kg_l' => 1.6,
                'energy_per_day_kwh' => 48.0,
                'energy_per_100_kg_kwh' => 12.0,
            ],
        ];
        // 3 of 8 l stay: 8/3 times as hard. 200 mg/l in 640 l a day are 128 g, 896 in a week.
        yield 'minerals of hard water' => [
            'ice_scale',
            ['hardness_ppm' => 200, 'water_per_cycle_l' => 8, 'ice_per_cycle_kg' => 5, 'ice_per_day_kg' => 400],
            [
                'concentration' => 8 / 3,
                'hardness_at_end_ppm' => 1600 / 3,
                'minerals_per_week_kg' => 0.896,
                'water_for_three_times_l' => 7.5,
            ],
        ];
        yield 'two places' => [
            'superheat_two_places',
            self::FLUID + [
                'evaporator_pressure_kpa' => 292.8 - 101.325,
                'suction_pressure_kpa' => 200.6 - 101.325,
                'suction_temperature_evaporator_c' => 7,
                'suction_temperature_compressor_c' => 12,
            ],
            [
                'evaporator_superheat_k' => 7.0,
                'compressor_superheat_k' => 22.0,
                'suction_line_gain_k' => 5.0,
                'line_drop_as_saturation_k' => 10.0,
            ],
        ];
        yield 'estimate without gauges' => [
            'estimate_without_gauges',
            self::FLUID + [
                'liquid_pipe_c' => 35,
                'suction_pipe_compressor_c' => 10,
                'assumed_subcooling_k' => 5,
                'assumed_compressor_superheat_k' => 20,
                'ambient_temperature_c' => 28,
            ],
            [
                'estimated_condensing_c' => 40.0,
                'estimated_head_kpa' => 1016.6 - 101.325,
                'estimated_suction_c' => -10.0,
                'estimated_suction_kpa' => 200.6 - 101.325,
                'estimated_split_k' => 12.0,
            ],
        ];
        yield 'foreign gas' => [
            'non_condensable_check',
            self::FLUID + ['ambient_temperature_c' => 30, 'standing_pressure_kpa' => 1016.6 - 101.325],
            [
                'expected_pressure_kpa' => 770.2 - 101.325,
                'excess_kpa' => 1016.6 - 770.2,
                'excess_as_saturation_k' => 10.0,
            ],
        ];
        yield 'ratio' => [
            'compression_ratio',
            ['discharge_pressure_kpa' => 1400, 'suction_pressure_kpa' => 200, 'atmospheric_kpa' => 100],
            ['compression_ratio' => 5.0],
        ];
        yield 'ratio, head against suction' => [
            'compression_ratio_sensitivity',
            [
                'discharge_pressure_kpa' => 1400,
                'suction_pressure_kpa' => 200,
                'change_kpa' => 100,
                'atmospheric_kpa' => 100,
            ],
            ['base' => 5.0, 'with_head_raised' => 5.3333, 'with_suction_lowered' => 7.5],
        ];
        yield 'regulator' => [
            'regulator_target',
            self::FLUID + [
                'target_supply_air_c' => 4,
                'air_to_coil_k' => 4,
                'measured_evaporator_pressure_kpa' => 200.6 - 101.325,
            ],
            [
                'target_coil_c' => 0.0,
                'target_pressure_kpa' => 292.8 - 101.325,
                'pressure_change_kpa' => 92.2,
                'measured_coil_c' => -10.0,
                'expected_supply_air_now_c' => -6.0,
                'direction' => 'raise',
            ],
        ];
        yield 'low-pressure control as thermostat' => [
            'low_pressure_control_as_thermostat',
            self::FLUID + [
                'box_set_point_c' => -1,
                'box_differential_k' => 2,
                'evaporator_td_k' => 8,
                'suction_line_drop_kpa' => 10,
            ],
            ['cut_in_kpa' => 292.8 - 101.325, 'cut_out_kpa' => 200.6 - 101.325 - 10],
        ];
        yield 'low-pressure control for pump-down, by the coil' => [
            'low_pressure_control_pump_down',
            self::FLUID + [
                'box_set_point_c' => 2,
                'evaporator_td_k' => 10,
                'coldest_ambient_c' => 5,
                'margin_k' => 2,
                'switch_differential_kpa' => 60,
                'envelope_lowest_evaporating_c' => -30,
            ],
            [
                'cut_in_kpa' => 200.6 - 101.325,
                'cut_out_kpa' => 200.6 - 101.325 - 60,
                'floor_kpa' => 0.0,
                'floor_limits' => false,
            ],
        ];
        yield 'low-pressure control for pump-down, held up by the floor' => [
            'low_pressure_control_pump_down',
            self::FLUID + [
                'box_set_point_c' => 2,
                'evaporator_td_k' => 6,
                'coldest_ambient_c' => -7,
                'margin_k' => 3,
                'switch_differential_kpa' => 150,
                'envelope_lowest_evaporating_c' => -30,
            ],
            ['cut_in_kpa' => 200.6 - 101.325, 'cut_out_kpa' => 0.0, 'floor_kpa' => 0.0, 'floor_limits' => true],
        ];
        yield 'head on a cold day' => [
            'head_pressure_target',
            self::FLUID + [
                'ambient_temperature_c' => 5,
                'condenser_split_k' => 12,
                'minimum_condensing_c' => 30,
                'measured_pressure_kpa' => 1016.6 - 101.325,
            ],
            [
                'target_condensing_c' => 30.0,
                'target_pressure_kpa' => 770.2 - 101.325,
                'valve_should_bypass' => true,
                'measured_condensing_c' => 40.0,
                'deviation_k' => 10.0,
            ],
        ];
        yield 'head on a hot day' => [
            'head_pressure_target',
            self::FLUID + [
                'ambient_temperature_c' => 28,
                'condenser_split_k' => 12,
                'minimum_condensing_c' => 30,
                'measured_pressure_kpa' => 770.2 - 101.325,
            ],
            ['target_condensing_c' => 40.0, 'valve_should_bypass' => false, 'deviation_k' => -10.0],
        ];
        yield 'winter charge' => [
            'winter_flooding_charge',
            self::FLUID + [
                'flooded_fraction' => 0.5,
                'condenser_internal_volume_l' => 10,
                'flooding_temperature_c' => 0,
            ],
            ['liquid_density_kg_m3' => 1294.8, 'vapour_density_kg_m3' => 14.43, 'winter_charge_kg' => 6.402],
        ];
        yield 'winter charge, from today' => [
            'winter_flooding_step',
            self::FLUID + [
                'condenser_internal_volume_l' => 10,
                'flooded_fraction_today' => 0.2,
                'today_c' => 0,
                'flooded_fraction_coldest' => 0.5,
                'coldest_c' => 0,
            ],
            ['held_today_kg' => 2.561, 'held_coldest_kg' => 6.402, 'still_to_add_kg' => 3.841],
        ];
        yield 'receiver' => [
            'receiver_capacity',
            self::FLUID + ['receiver_volume_l' => 10, 'fill_limit_fraction' => 0.8, 'liquid_temperature_c' => 0],
            ['capacity_kg' => 10.358],
        ];
        yield 'receiver too small' => [
            'receiver_holds_pump_down',
            self::FLUID + [
                'receiver_volume_l' => 10,
                'fill_limit_fraction' => 0.8,
                'liquid_temperature_c' => 0,
                'system_charge_kg' => 11,
            ],
            ['capacity_kg' => 10.358, 'level_if_all_in_receiver_percent' => 84.955, 'fits' => false],
        ];
        yield 'leak rate, annualised' => [
            'leak_rate_annualised',
            ['added_kg' => 2, 'full_charge_kg' => 20, 'days_since_previous_addition' => 73],
            ['leak_rate_percent_per_year' => 50.0],
        ];
        yield 'leak rate, annualised, over more than a year' => [
            'leak_rate_annualised',
            ['added_kg' => 2, 'full_charge_kg' => 20, 'days_since_previous_addition' => 900],
            ['leak_rate_percent_per_year' => 10.0],
        ];
        yield 'leak rate, rolling: the day 365 days ago is out' => [
            'leak_rate_rolling',
            [
                'additions' => [['day' => 35, 'kg' => 4], ['day' => 36, 'kg' => 1], ['day' => 400, 'kg' => 2]],
                'today' => 400,
                'full_charge_kg' => 20,
            ],
            ['added_in_365_days_kg' => 3.0, 'leak_rate_percent_per_year' => 15.0],
        ];
        yield 'ledger' => [
            'refrigerant_ledger',
            [
                'cylinder_before_kg' => 9.4,
                'cylinder_after_kg' => 7.9,
                'recovered_kg' => 0.3,
                'system_charge_before_kg' => 4,
                'nameplate_charge_kg' => 5,
            ],
            ['added_kg' => 1.5, 'system_charge_after_kg' => 5.2, 'over_nameplate_percent' => 4.0],
        ];
        yield 'heaters, one phase' => [
            'defrost_heater_amps',
            ['power_w' => 2300, 'voltage_v' => 230, 'phases' => 1],
            ['rated_current_a' => 10.0],
        ];
        yield 'heaters, three phases' => [
            'defrost_heater_amps',
            ['power_w' => 6928.2, 'voltage_v' => 400, 'phases' => 3],
            ['rated_current_a' => 10.0],
        ];
        yield 'heaters with a leg open' => [
            'defrost_heater_leg_missing',
            ['power_w' => 6928.2, 'voltage_v' => 400, 'phases' => 3, 'legs_live' => 2],
            ['rated_current_a' => 10.0, 'current_live_legs_a' => 8.66, 'heat_remaining_percent' => 50.0],
        ];
        yield 'heaters with two legs open' => [
            'defrost_heater_leg_missing',
            ['power_w' => 6928.2, 'voltage_v' => 400, 'phases' => 3, 'legs_live' => 1],
            ['current_live_legs_a' => 0.0, 'heat_remaining_percent' => 0.0],
        ];
        yield 'heaters with elements open' => [
            'defrost_heater_element_open',
            [
                'power_w' => 2300,
                'rated_voltage_v' => 230,
                'measured_voltage_v' => 207,
                'phases' => 1,
                'elements' => 4,
                'elements_open' => 1,
            ],
            ['rated_current_a' => 10.0, 'expected_current_a' => 6.75, 'heat_percent' => 60.75],
        ];
        yield 'pull-down that arrives' => [
            'pull_down_forecast',
            // 20, 10 and 5 above 0 °C: halved every 30 minutes, so it ends at 0 °C.
            ['box_c' => [20, 10, 5], 'times_min' => [0, 30, 60], 'target_c' => 2.5],
            ['final_c' => 0.0, 'time_constant_min' => 43.281, 'reaches_target' => true, 'time_to_target_min' => 90.0],
        ];
        yield 'pull-down that does not' => [
            'pull_down_forecast',
            ['box_c' => [20, 10, 5], 'times_min' => [0, 30, 60], 'target_c' => 0],
            ['final_c' => 0.0, 'reaches_target' => false, 'time_to_target_min' => null],
        ];
        yield 'pull-down rate' => [
            'pull_down_rate',
            ['start_c' => 12, 'end_c' => 9, 'minutes' => 45, 'required_k_per_h' => 4],
            ['rate_k_per_h' => 4.0, 'passes' => true],
        ];
        yield 'hunting' => [
            'hunting',
            [
                'times_s' => [0, 30, 60, 90, 120, 150, 180, 210, 240],
                'superheat_k' => [4, 8, 4, 0, 4, 8, 4, 0, 4],
                'target_superheat_k' => 6,
            ],
            ['mean_k' => 4.0, 'peak_to_peak_k' => 8.0, 'lowest_k' => 0.0, 'period_s' => 120.0, 'hunting' => false],
        ];
        yield 'hunting, two whole periods' => [
            'hunting',
            [
                'times_s' => [0, 30, 60, 90, 120, 150, 180],
                'superheat_k' => [1, 9, 1, 9, 1, 9, 1],
                'target_superheat_k' => 6,
            ],
            ['peak_to_peak_k' => 8.0, 'period_s' => 60.0, 'hunting' => true],
        ];
        yield 'current of the plate' => [
            'current_share',
            ['compressor_current_a' => 6, 'rated_current_a' => 10, 'after_current_a' => 8.5],
            ['before_percent' => 60.0, 'after_percent' => 85.0, 'change_a' => 2.5],
        ];
        yield 'turns still to go' => [
            'valve_turns',
            ['turns_open' => [0, 0.5, 1], 'superheat_k' => [16, 12, 8], 'target_superheat_k' => 6],
            ['slope_k_per_turn' => -8.0, 'intercept_k' => 16.0, 'further_turns' => 0.25],
        ];
        yield 'knee' => [
            'charging_knee',
            [
                'added_kg' => [0, 0.1, 0.2, 0.3, 0.4],
                'superheat_k' => [18, 11, 6, 6.2, 5.9],
                'subcooling_k' => [1, 1.5, 2, 4, 6.5],
                'steady_band_k' => 0.5,
                'rising_step_k' => 1,
            ],
            ['knee_index' => 2, 'knee_added_kg' => 0.2, 'to_take_back_from_last_kg' => 0.2],
        ];
        yield 'no knee yet' => [
            'charging_knee',
            [
                'added_kg' => [0, 0.1, 0.2],
                'superheat_k' => [18, 11, 6],
                'subcooling_k' => [1, 1.5, 2],
                'steady_band_k' => 0.5,
                'rising_step_k' => 1,
            ],
            ['knee_index' => null, 'knee_added_kg' => null, 'to_take_back_from_last_kg' => null],
        ];
        yield 'bulb in ice' => [
            'iced_bulb',
            self::FLUID + ['bulb_temperature_c' => 0, 'static_superheat_k' => 10],
            [
                'saturated_at_bulb_kpa' => 292.8 - 101.325,
                'expected_evaporator_pressure_kpa' => 200.6 - 101.325,
            ],
        ];
        yield 'defrosts that follow each other' => [
            'defrost_stagger_check',
            ['schedule' => [['start_min' => 0, 'duration_min' => 30], [30, 30]], 'max_simultaneous' => 1],
            ['highest_simultaneous' => 1, 'first_violation_min' => null, 'feasible' => true],
        ];
        yield 'too many at once' => [
            'defrost_stagger_check',
            ['schedule' => [[0, 30], [10, 30], [20, 30]], 'max_simultaneous' => 2],
            ['highest_simultaneous' => 3, 'first_violation_min' => 20.0, 'feasible' => false],
        ];
        yield 'a plan of defrosts' => [
            'defrost_stagger_plan',
            [
                'fixtures' => [['duration_min' => 30], ['duration_min' => 20], ['duration_min' => 25], 40],
                'max_simultaneous' => 2,
                'first_start_min' => 60,
            ],
            ['starts_min' => [60.0, 60.0, 80.0, 90.0], 'all_clear_min' => 130.0],
        ];
    }

    /**
     * @param  array<string, mixed>  $inputs
     * @param  array<string, mixed>  $expected
     */
    #[DataProvider('sums')]
    public function test_it_is_what_it_is_by_hand(string $calculator, array $inputs, array $expected): void
    {
        $answer = self::asked($calculator, $inputs);
        foreach ($expected as $key => $value) {
            $found = $answer['outputs'][$key];
            if (is_float($value)) {
                self::assertIsFloat($found, $key);
                self::assertEqualsWithDelta($value, $found, self::CLOSE, $key);
            } else {
                self::assertSame($value, $found, $key);
            }
        }
        self::assertNotSame([], $answer['steps']);
    }

    public function test_every_calculator_was_tried(): void
    {
        $tried = array_column(iterator_to_array(self::sums()), 0);
        $left = array_diff(array_column(Calculator::cases(), 'value'), $tried);

        // Two have no sum that is done by hand; they have tests of their own below.
        self::assertSame(
            ['ideal_discharge_temperature', 'return_gas_effect', 'subcooling_glide_trap'],
            self::sorted($left),
        );
    }

    public function test_a_blend_has_a_glide_to_fall_into(): void
    {
        $pipe = ['refrigerant' => 'R-448A', 'receiver_pressure_kpa' => 1500, 'receiver_outlet_temperature_c' => 30];
        $liquid = self::asked('subcooling_glide_trap', $pipe)['outputs'];
        self::assertGreaterThan(3.0, $liquid['wrong_subcooling_if_dew_is_used_k'] - $liquid['subcooling_k']);
        self::assertEqualsWithDelta(
            $liquid['condensing_dew_c'] - 30,
            $liquid['wrong_subcooling_if_dew_is_used_k'],
            1e-6,
        );
        $gas = self::asked('superheat_glide_trap', [
            'refrigerant' => 'R-448A',
            'suction_pressure_kpa' => 310,
            'suction_temperature_evaporator_c' => 1,
        ])['outputs'];
        self::assertGreaterThan(4.0, $gas['glide_k']);
        self::assertEqualsWithDelta(
            $gas['evaporator_superheat_k'] + $gas['glide_k'],
            $gas['wrong_superheat_if_bubble_is_used_k'],
            1e-5,
        );
    }

    /** An ideal gas with the exponent of R-134a (about 1.1) would reach some 60 to 70 °C; saturation is 40 °C. */
    public function test_ideal_discharge_lies_above_condensing_and_follows_the_return_gas(): void
    {
        $pressures = self::FLUID + ['suction_pressure_kpa' => 99.3, 'discharge_pressure_kpa' => 915.3];
        $ideal = self::asked('ideal_discharge_temperature', $pressures + ['suction_temperature_compressor_c' => 10]);
        self::assertGreaterThan(55.0, $ideal['outputs']['ideal_discharge_c']);
        self::assertLessThan(75.0, $ideal['outputs']['ideal_discharge_c']);
        $both = self::asked(
            'return_gas_effect',
            $pressures + ['return_gas_before_c' => 10, 'return_gas_after_c' => 20],
        )['outputs'];
        self::assertEqualsWithDelta($ideal['outputs']['ideal_discharge_c'], $both['ideal_before_c'], 1e-6);
        self::assertEqualsWithDelta(
            ($both['ideal_after_c'] - $both['ideal_before_c']) / 10,
            $both['rise_per_k'],
            1e-5,
        );
        self::assertEqualsWithDelta(1.0, $both['rise_per_k'], 0.2);
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function impossible(): iterable
    {
        $ratio = ['discharge_pressure_kpa' => 1000, 'suction_pressure_kpa' => 100];
        yield 'an unknown calculator' => ['sum', [], 'calculator: "sum" is unknown'];
        yield 'something missing' => [
            'compression_ratio',
            ['suction_pressure_kpa' => 1],
            'discharge_pressure_kpa: missing',
        ];
        yield 'something unknown' => ['compression_ratio', $ratio + ['x' => 1], 'unknown key'];
        yield 'a word for a number' => [
            'compression_ratio',
            ['suction_pressure_kpa' => 'low'] + $ratio,
            'expected a number',
        ];
        yield 'below vacuum' => [
            'compression_ratio',
            ['suction_pressure_kpa' => -90, 'atmospheric_kpa' => 85] + $ratio,
            'below full vacuum',
        ];
        yield 'a compressor that lowers pressure' => [
            'compression_ratio',
            ['discharge_pressure_kpa' => 50] + $ratio,
            'below suction pressure',
        ];
        yield 'another fluid' => [
            'subcooling',
            ['refrigerant' => 'R-0', 'receiver_pressure_kpa' => 1, 'condenser_outlet_temperature_c' => 1],
            '" is not available',
        ];
        yield 'outside the table' => [
            'subcooling',
            self::FLUID + ['receiver_pressure_kpa' => 14_000, 'condenser_outlet_temperature_c' => 1],
            'inputs.receiver_pressure_kpa: ',
        ];
        yield 'wet return gas' => [
            'ideal_discharge_temperature',
            self::FLUID + $ratio + ['suction_temperature_compressor_c' => -30],
            'liquid is returning',
        ];
        yield 'two of three points' => [
            'pull_down_forecast',
            ['box_c' => [9, 8], 'times_min' => [0, 1, 2], 'target_c' => 0],
            'values, expected',
        ];
        yield 'uneven times' => [
            'pull_down_forecast',
            ['box_c' => [9, 8, 7.5], 'times_min' => [0, 10, 30], 'target_c' => 0],
            'not evenly spaced',
        ];
        yield 'no end in sight' => [
            'pull_down_forecast',
            ['box_c' => [9, 8, 6], 'times_min' => [0, 10, 20], 'target_c' => 0],
            'not levelling off yet',
        ];
        yield 'a valve that does not respond' => [
            'valve_turns',
            ['turns_open' => [0, 1], 'superheat_k' => [9, 9], 'target_superheat_k' => 6],
            'the valve does not respond',
        ];
        yield 'two phases' => [
            'defrost_heater_amps',
            ['power_w' => 1, 'voltage_v' => 230, 'phases' => 2],
            'you entered',
        ];
        yield 'more open than there are' => [
            'defrost_heater_element_open',
            [
                'power_w' => 1000,
                'rated_voltage_v' => 230,
                'measured_voltage_v' => 230,
                'phases' => 1,
                'elements' => 2,
                'elements_open' => 3,
            ],
            'there are 2',
        ];
        yield 'a cylinder that filled itself' => [
            'refrigerant_ledger',
            [
                'cylinder_before_kg' => 1,
                'cylinder_after_kg' => 2,
                'recovered_kg' => 0,
                'system_charge_before_kg' => 4,
                'nameplate_charge_kg' => 5,
            ],
            'more than before',
        ];
        yield 'series that do not match' => [
            'hunting',
            ['times_s' => [0, 1, 2], 'superheat_k' => [1, 2, 3, 4], 'target_superheat_k' => 6],
            'times_s has 3',
        ];
    }

    /** @param  array<string, mixed>  $inputs */
    #[DataProvider('impossible')]
    public function test_what_cannot_be_is_refused_with_its_place(string $calculator, array $inputs, string $why): void
    {
        try {
            self::asked($calculator, $inputs);
            self::fail('It was answered.');
        } catch (Refused $refused) {
            self::assertStringContainsString($why, implode("\n", $refused->reasons));
        }
    }

    public function test_every_calculator_has_its_title_purpose_and_page(): void
    {
        foreach (Calculator::cases() as $calculator) {
            self::assertNotSame('', $calculator->title());
            self::assertNotSame('', $calculator->purpose());
            self::assertContains($calculator, $calculator->group()->calculators());
        }
    }

    /**
     * @param  array<string, mixed>  $inputs
     * @return array{outputs: array<string, mixed>, steps: list<string>}
     */
    private static function asked(string $calculator, array $inputs): array
    {
        $line = json_encode(['calculator' => $calculator, 'inputs' => (object) $inputs], JSON_THROW_ON_ERROR);

        return CalculatorQuestion::answer($line);
    }

    /**
     * @param  array<string>  $words
     * @return list<string>
     */
    private static function sorted(array $words): array
    {
        sort($words);

        return $words;
    }
}
