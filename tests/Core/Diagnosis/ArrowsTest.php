<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Metrum\Diagnosis\Diagnosis;
use Metrum\Findings\Findings;
use Metrum\Knowledge\Fault;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Visits;

/** The trade's arrows (knowledge §4): readings that move as a fault moves them put that fault first, or near it. */
final class ArrowsTest extends TestCase
{
    /** @return iterable<string, array{Fault, array<string, float|int|null>, array<string, mixed>}> */
    public static function signatures(): iterable
    {
        $clear = [
            'evaporator_fans' => 'all_running',
            'evaporator_face' => 'clean',
            'condenser_fans' => 'all_running',
            'condenser_face' => 'clean',
        ];
        yield 'nothing wrong' => [
            Fault::NoFault,
            ['superheat_swing_k' => 1.0],
            [
                'observations' => $clear + [
                    'sight_glass' => 'clear',
                    'frost_coil' => 'even',
                    'valve_sound' => 'steady',
                    'doors' => 'shut_and_sealing',
                ],
            ],
        ];
        yield 'short of refrigerant' => [
            Fault::Undercharge,
            [
                'suction_pressure_kpa' => 215,
                'suction_temperature_evaporator_c' => 1.6,
                'discharge_pressure_kpa' => 1400,
                'receiver_outlet_temperature_c' => 32.2,
                'condenser_outlet_temperature_c' => 32.4,
                'receiver_level_percent' => 3,
                'discharge_temperature_c' => 84,
                'compressor_current_a' => 5.6,
            ],
            [
                'observations' => $clear + [
                    'sight_glass' => 'bubbles',
                    'frost_coil' => 'inlet_only',
                    'valve_sound' => 'hissing_gas',
                ],
                'complaint' => ['too_warm'],
            ],
        ];
        yield 'too much refrigerant' => [
            Fault::Overcharge,
            [
                'discharge_pressure_kpa' => 1980,
                'receiver_outlet_temperature_c' => 31,
                'condenser_outlet_temperature_c' => 28.5,
                'receiver_level_percent' => 97,
                'compressor_current_a' => 8.6,
                'discharge_temperature_c' => 80,
            ],
            ['observations' => $clear + ['sight_glass' => 'clear']],
        ];
        yield 'dirty condenser' => [
            Fault::CondenserAirflowLow,
            [
                'discharge_pressure_kpa' => 2150,
                'receiver_outlet_temperature_c' => 44.5,
                'condenser_outlet_temperature_c' => 44.9,
                'condenser_air_out_temperature_c' => 41,
                'compressor_current_a' => 8.9,
                'discharge_temperature_c' => 88,
            ],
            ['observations' => ['condenser_face' => 'dirty', 'condenser_fans' => 'all_running']],
        ];
        yield 'air in the system' => [
            Fault::NonCondensables,
            [
                'discharge_pressure_kpa' => 2050,
                'receiver_outlet_temperature_c' => 31.5,
                'condenser_outlet_temperature_c' => 32,
                'receiver_level_percent' => 45,
                'discharge_temperature_c' => 84,
            ],
            [
                'observations' => $clear,
                'tests' => ['non_condensable_check' => 'above_ambient', 'condenser_washed' => 'no_change'],
            ],
        ];
        yield 'valve feeds too little' => [
            Fault::ValveUnderfeeding,
            [
                'suction_pressure_kpa' => 225,
                'suction_temperature_evaporator_c' => 1.9,
                'receiver_outlet_temperature_c' => 30,
                'condenser_outlet_temperature_c' => 30.5,
                'receiver_level_percent' => 65,
                'discharge_temperature_c' => 82,
                'compressor_current_a' => 5.9,
            ],
            [
                'observations' => $clear + [
                    'sight_glass' => 'clear',
                    'frost_coil' => 'inlet_only',
                    'frost_valve_outlet' => 'valve_body',
                ],
                'tests' => ['valve_bulb_warmed' => 'no_change'],
            ],
        ];
        yield 'valve feeds too much' => [
            Fault::ValveOverfeeding,
            [
                'suction_pressure_kpa' => 370,
                'suction_temperature_evaporator_c' => -2.6,
                'suction_temperature_compressor_c' => -1.5,
                'discharge_temperature_c' => 55,
                'superheat_lowest_k' => 0,
            ],
            ['observations' => $clear + ['frost_suction_line' => 'to_compressor', 'oil_level' => 'foaming']],
        ];
        yield 'restricted drier' => [
            Fault::LiquidLineRestriction,
            [
                'suction_pressure_kpa' => 220,
                'suction_temperature_evaporator_c' => 1.9,
                'receiver_level_percent' => 75,
                'drier_inlet_temperature_c' => 30.8,
                'drier_outlet_temperature_c' => 24.5,
                'valve_inlet_temperature_c' => 23.5,
                'discharge_temperature_c' => 82,
            ],
            [
                'observations' => $clear + [
                    'sight_glass' => 'bubbles',
                    'liquid_line_feel' => 'cold_after_drier',
                    'frost_coil' => 'inlet_only',
                ],
            ],
        ];
        yield 'restricted suction' => [
            Fault::SuctionRestriction,
            [
                'suction_pressure_kpa' => 200,
                'evaporator_pressure_kpa' => 352,
                'suction_temperature_compressor_c' => 9,
                'discharge_temperature_c' => 88,
                'compressor_current_a' => 5.7,
            ],
            ['observations' => $clear + ['sight_glass' => 'clear', 'frost_coil' => 'even']],
        ];
        yield 'little air over the coil' => [
            Fault::EvaporatorAirflowLow,
            [
                'suction_pressure_kpa' => 260,
                'suction_temperature_evaporator_c' => -7.5,
                'suction_temperature_compressor_c' => 0,
                'supply_air_temperature_c' => -6.5,
                'fans_running' => 1,
                'fans_fitted' => 3,
            ],
            [
                'observations' => [
                    'evaporator_fans' => 'some_stopped',
                    'evaporator_face' => 'dirty',
                    'condenser_fans' => 'all_running',
                    'condenser_face' => 'clean',
                ],
            ],
        ];
        yield 'coil iced' => [
            Fault::EvaporatorIced,
            [
                'suction_pressure_kpa' => 245,
                'suction_temperature_evaporator_c' => -9,
                'suction_temperature_compressor_c' => -2,
                'box_temperature_c' => 6,
            ],
            [
                'observations' => [
                    'frost_coil' => 'blocked',
                    'evaporator_fans' => 'all_running',
                ],
                'complaint' => ['iced_up', 'too_warm'],
            ],
        ];
        yield 'worn compressor' => [
            Fault::CompressorInefficient,
            [
                'suction_pressure_kpa' => 460,
                'suction_temperature_evaporator_c' => 6.5,
                'box_temperature_c' => 7,
                'supply_air_temperature_c' => 5,
                'discharge_pressure_kpa' => 1330,
                'receiver_outlet_temperature_c' => 27,
                'condenser_outlet_temperature_c' => 27.5,
                'compressor_current_a' => 5.2,
                'pump_down_floor_kpa' => 120,
                'pump_down_rise_kpa_per_min' => 90,
            ],
            [
                'observations' => $clear,
                'tests' => ['compressor_leak_back' => 'rises_fast'],
                'complaint' => ['too_warm', 'runs_all_the_time'],
            ],
        ];
        yield 'long bare suction line' => [
            Fault::SuctionLineWarm,
            ['suction_temperature_compressor_c' => 21, 'discharge_temperature_c' => 88],
            ['observations' => $clear + ['sight_glass' => 'clear']],
        ];
        yield 'open door' => [
            Fault::ExcessLoad,
            [
                'box_temperature_c' => 8,
                'supply_air_temperature_c' => 3.4,
                'suction_pressure_kpa' => 425,
                'suction_temperature_evaporator_c' => 6.9,
                'suction_temperature_compressor_c' => 11,
                'discharge_temperature_c' => 67,
            ],
            [
                'observations' => $clear + [
                    'doors' => 'left_open',
                    'product' => 'hot_or_new_load',
                    'sight_glass' => 'clear',
                ],
                'complaint' => ['too_warm'],
            ],
        ];
        yield 'valve swings' => [
            Fault::ValveHunting,
            ['superheat_swing_k' => 9, 'superheat_lowest_k' => 0.5, 'superheat_period_min' => 3],
            ['observations' => $clear + ['valve_sound' => 'surging', 'sight_glass' => 'clear']],
        ];
    }

    /**
     * @param  array<string, float|int|null>  $readings
     * @param  array<string, mixed>  $more
     */
    #[DataProvider('signatures')]
    public function test_the_fault_leads(Fault $fault, array $readings, array $more): void
    {
        $verdict = (new Diagnosis())->of(Visits::cooler($readings, $more), checks: 0);
        self::assertSame(
            $fault,
            $verdict->first()->fault,
            implode(
                ', ',
                array_map(
                    static fn ($one): string => $one->fault->value.' '.round($one->probability, 2),
                    $verdict->ranked(4),
                ),
            ),
        );
        self::assertSame([], $verdict->contradictions, 'a physical plant contradicts nothing');
    }

    public function test_a_flooding_valve_short_of_winter_charge_is_told_from_a_leak_by_the_cold(): void
    {
        $cold = self::flooding(
            [
                'ambient_temperature_c' => -6,
                'discharge_pressure_kpa' => 1150,
                'receiver_outlet_temperature_c' => 34,
                'condenser_outlet_temperature_c' => 4,
                'suction_pressure_kpa' => 200,
                'suction_temperature_evaporator_c' => 1.8,
                'receiver_level_percent' => 4,
            ],
            ['sight_glass' => 'bubbles', 'receiver_feel' => 'hotter_than_condenser_outlet'],
        );
        $verdict = (new Diagnosis())->of($cold, checks: 0);
        self::assertSame(Fault::WinterUndercharge, $verdict->first()->fault);
        $warm = self::flooding(
            [
                'ambient_temperature_c' => 27,
                'discharge_pressure_kpa' => 1900,
                'receiver_outlet_temperature_c' => 48,
                'condenser_outlet_temperature_c' => 32,
                'suction_pressure_kpa' => 230,
                'suction_temperature_evaporator_c' => 1.8,
            ],
            ['head_pressure_valve_bypass_line' => 'hot', 'sight_glass' => 'bubbles'],
        );
        self::assertSame(
            Fault::HeadPressureValveBypassing,
            (new Diagnosis())->of($warm, checks: 0)->first()->fault,
        );
    }

    public function test_a_warm_regulator_is_told_from_a_worn_compressor_by_the_pressure_behind_it(): void
    {
        $findings = Visits::of([
            'system' => [
                'kind' => 'rack_circuit_medium',
                'refrigerant' => 'R-449A',
                'metering' => 'txv',
                'receiver' => true,
                'evaporator_pressure_regulator' => true,
            ],
            'design' => ['box_set_point_c' => 2, 'evaporator_td_k' => 8, 'superheat_k' => 5],
            'state' => 'running_settled',
            'complaint' => ['too_warm'],
            'readings' => [
                'box_temperature_c' => 7.5,
                'evaporator_pressure_kpa' => 430,
                'suction_pressure_kpa' => 250,
                'suction_temperature_evaporator_c' => 6.9,
                'supply_air_temperature_c' => 4.5,
            ],
            'observations' => ['sight_glass' => 'clear', 'evaporator_fans' => 'all_running'],
        ]);
        self::assertSame(Fault::RegulatorSetHigh, (new Diagnosis())->of($findings, checks: 0)->first()->fault);
    }

    public function test_failed_heaters_show_in_amperes(): void
    {
        $findings = Visits::of([
            'system' => ['kind' => 'walk_in_freezer', 'refrigerant' => 'R-404A', 'defrost' => 'electric'],
            'readings' => ['heater_current_a' => 4.5, 'heater_rated_current_a' => 13],
            'observations' => ['last_defrost' => 'left_ice', 'frost_coil' => 'blocked'],
            'tests' => ['power_to_heaters' => 'one_leg_missing'],
            'complaint' => ['iced_up'],
        ]);
        self::assertSame(
            Fault::DefrostHeaterFailed,
            (new Diagnosis())->of($findings, checks: 0)->first()->fault,
        );
    }

    /**
     * @param  array<string, float|int>  $readings
     * @param  array<string, string>  $observations
     */
    private static function flooding(array $readings, array $observations): Findings
    {
        return Visits::cooler($readings, [
            'system' => ['head_pressure_control' => 'flooding_valve'] + Visits::COOLER['system'],
            'observations' => $observations + ['condenser_face' => 'clean', 'condenser_fans' => 'all_running'],
            'complaint' => ['too_warm'],
        ]);
    }
}
