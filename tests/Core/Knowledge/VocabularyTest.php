<?php

declare(strict_types=1);

namespace Tests\Core\Knowledge;

use Metrum\Installation\BoxControl;
use Metrum\Installation\CondenserPlace;
use Metrum\Installation\DefrostKind;
use Metrum\Installation\HeadPressureControl;
use Metrum\Installation\Kind;
use Metrum\Installation\Metering;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use PHPUnit\Framework\TestCase;

/** The words of the visit file are a promise to other programs: none may go or change. */
final class VocabularyTest extends TestCase
{
    public function test_system_words(): void
    {
        self::assertSame(
            [
                'walk_in_cooler',
                'walk_in_freezer',
                'reach_in_cooler',
                'reach_in_freezer',
                'case_medium',
                'case_low',
                'ice_machine',
                'air_conditioner',
                'rack_circuit_medium',
                'rack_circuit_low',
            ],
            array_column(Kind::cases(), 'value'),
        );
        self::assertSame(['txv', 'eev', 'capillary'], array_column(Metering::cases(), 'value'));
        self::assertSame(
            ['air_indoor', 'air_outdoor', 'water'],
            array_column(CondenserPlace::cases(), 'value'),
        );
        self::assertSame(
            ['none', 'fan_cycling', 'fan_speed', 'flooding_valve', 'water_valve'],
            array_column(HeadPressureControl::cases(), 'value'),
        );
        self::assertSame(
            ['thermostat', 'thermostat_pump_down', 'low_pressure', 'pressure_regulator', 'header'],
            array_column(BoxControl::cases(), 'value'),
        );
        self::assertSame(
            ['none', 'off_cycle', 'electric', 'hot_gas', 'water'],
            array_column(DefrostKind::cases(), 'value'),
        );
        self::assertSame(
            [
                'starting',
                'pulling_down',
                'running_settled',
                'pumping_down',
                'off',
                'in_defrost',
                'after_defrost',
                'freezing',
                'harvesting',
            ],
            array_column(State::cases(), 'value'),
        );
        self::assertSame(
            [
                'too_warm',
                'too_cold',
                'runs_all_the_time',
                'short_cycling',
                'not_running',
                'iced_up',
                'noisy',
                'water_leak',
                'low_production',
                'poor_ice',
                'ice_stays_on',
                'high_energy',
                'alarm',
                'none',
            ],
            array_column(Complaint::cases(), 'value'),
        );
    }

    public function test_readings(): void
    {
        $keys = array_column(Reading::cases(), 'value');
        self::assertCount(67, $keys);
        foreach (
            [
                'suction_pressure_kpa',
                'evaporator_pressure_kpa',
                'receiver_level_percent',
                'superheat_swing_k',
                'minutes_since_disturbance_min',
                'pull_down_rate_k_per_h',
                'pump_down_rise_kpa_per_min',
                'low_cut_in_kpa',
                'oil_pressure_difference_kpa',
                'added_kg',
                'fans_fitted',
                'fan_delay_sensor_c',
                'heater_rated_current_a',
                'freeze_time_min',
                'water_temperature_c',
            ] as $key
        ) {
            self::assertContains($key, $keys);
        }
    }

    public function test_every_reading_has_a_name_a_place_and_a_span(): void
    {
        foreach (Reading::cases() as $reading) {
            self::assertNotSame('', $reading->label());
            self::assertLessThanOrEqual(17, mb_strlen($reading->short()), $reading->value);
            self::assertNotSame('', $reading->place());
            self::assertLessThan($reading->row()->field->most, $reading->row()->field->least);
        }
    }

    public function test_a_readings_last_word_is_its_unit(): void
    {
        $units = [
            'kpa' => 'kpa',
            'c' => 'c',
            'k' => 'k',
            'a' => 'a',
            'v' => 'v',
            'percent' => 'percent',
            'kg' => 'kg',
            'min' => 'min',
            'mm' => 'mm',
            'l' => 'l',
        ];
        foreach (Reading::cases() as $reading) {
            $last = substr($reading->value, (int) strrpos($reading->value, '_') + 1);
            $wanted = match (true) {
                str_ends_with($reading->value, 'kpa_per_min') => 'kpa_per_min',
                str_ends_with($reading->value, 'k_per_h') => 'k_per_h',
                default => $units[$last] ?? 'one',
            };
            self::assertSame($wanted, $reading->fileUnit()->value, $reading->value);
        }
    }

    public function test_observations_and_tests_with_their_answers(): void
    {
        self::assertCount(38, Observation::cases());
        self::assertCount(14, Test::cases());
        self::assertSame(
            [Word::Clear, Word::Bubbles, Word::NoLineVisible, Word::NotFitted],
            Observation::SightGlass->words(),
        );
        self::assertSame(
            [
                Word::None,
                Word::InletOnly,
                Word::Even,
                Word::Blocked,
                Word::OutletOnly,
                Word::InletIced,
                Word::OutletIced,
            ],
            Observation::FrostCoil->words(),
        );
        self::assertSame([Word::Rated, Word::OneLegMissing, Word::None], Test::PowerToHeaters->words());
        foreach ([...Observation::cases(), ...Test::cases()] as $asked) {
            self::assertGreaterThanOrEqual(2, count($asked->words()), $asked->value);
            self::assertStringNotContainsString('_', $asked->label());
            foreach ($asked->words() as $word) {
                self::assertStringNotContainsString('_', $word->label());
            }
        }
    }

    public function test_there_are_thirty_seven_faults(): void
    {
        self::assertCount(37, Fault::cases());
    }
}
