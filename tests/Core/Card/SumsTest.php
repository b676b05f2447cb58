<?php

declare(strict_types=1);

namespace Tests\Core\Card;

use Metrum\Bench\Answer;
use Metrum\Bench\CannotBe;
use Metrum\Bench\Inputs;
use Metrum\Card\Sum;
use Metrum\Quantity\Units;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The sums of the cards, by hand and by the tables. */
final class SumsTest extends TestCase
{
    public function test_a_change_of_pressure_is_told_as_saturation(): void
    {
        // R-134a: dew −10 °C at 200.6 kPa absolute, 0 °C at 292.8.
        $answer = self::of(Sum::SaturatedChange, ['from_kpa' => 99_300.0, 'to_kpa' => 191_500.0]);

        self::assertEqualsWithDelta(10.0, self::value($answer, 'rise_k'), 0.1);
        self::assertEqualsWithDelta(-10.0, self::value($answer, 'fall_k'), 0.1);
    }

    public function test_how_far_apart_two_are_has_no_sign(): void
    {
        $pipes = self::of(Sum::Difference, ['of_c' => 300.0, 'less_c' => 303.0]);
        self::assertSame([-3.0, 3.0], [self::value($pipes, 'difference_k'), self::value($pipes, 'apart_k')]);
        $gauges = self::of(Sum::PressureDifference, ['of_kpa' => 2e5, 'less_kpa' => 3e5]);
        self::assertSame([-1e5, 1e5], [self::value($gauges, 'difference_kpa'), self::value($gauges, 'apart_kpa')]);
    }

    public function test_what_a_bulb_must_move_is_told_before_it_is_tried(): void
    {
        $moves = self::of(Sum::BulbMoves, ['from_kpa' => 191_500.0, 'by_k' => 5.0]);
        foreach (['falls_to_kpa' => 'fall_k', 'rises_to_kpa' => 'rise_k'] as $to => $change) {
            $moved = self::of(
                Sum::SaturatedChange,
                ['from_kpa' => 191_500.0, 'to_kpa' => self::value($moves, $to)],
            );
            self::assertEqualsWithDelta(5.0, self::value($moved, $change), 1e-3, $to);
        }
    }

    public function test_a_valve_passes_by_the_root_of_the_pressure_over_it(): void
    {
        $size = self::of(Sum::ValveShare, [
            'rated_kw' => 5e3,
            'rated_drop_kpa' => 6e5,
            'load_kw' => 4e3,
            'high_kpa' => 9e5,
            'low_kpa' => 1.5e5,
            'lost_kpa' => 1.5e5,
        ]);

        self::assertEqualsWithDelta(5e3, self::value($size, 'capacity_kw'), 1e-6);
        self::assertEqualsWithDelta(1.25, self::value($size, 'share_percent'), 1e-9);
        $low = self::of(Sum::ValveShare, [
            'rated_kw' => 5e3,
            'rated_drop_kpa' => 6e5,
            'load_kw' => 4e3,
            'high_kpa' => 4.5e5,
            'low_kpa' => 1.5e5,
            'lost_kpa' => 1.5e5,
        ]);
        self::assertEqualsWithDelta(0.625, self::value($low, 'share_percent'), 1e-9, 'a quarter of it: half as much');
    }

    public function test_gas_past_the_condenser_is_told_by_what_it_warms(): void
    {
        // R-134a at 8.15 bar abs: 32 °C. Liquid drains at 2 °C (202.7 kJ/kg), gas at 62 °C has about 452.
        $share = static fn (float $receiver): float => self::value(
            self::of(Sum::BypassShare, [
                'condensing_kpa' => 714e3,
                'drain_c' => 275.15,
                'receiver_c' => 273.15 + $receiver,
                'discharge_c' => 335.15,
            ]),
            'share_percent',
        );
        self::assertEqualsWithDelta(0.0, $share(2.0), 1e-9);
        self::assertEqualsWithDelta(0.11, $share(22.0), 0.01, '(230.3 − 202.7) ÷ 249');
        self::assertGreaterThan($share(12.0), $share(22.0));
    }

    public function test_superheat_at_the_compressor_is_its_line_above_dew(): void
    {
        // R-134a: dew 0 °C at 292.8 kPa absolute.
        $gas = self::of(Sum::CompressorSuperheat, ['pressure_kpa' => 191_500.0, 'pipe_c' => 283.15]);
        self::assertEqualsWithDelta(10.0, self::value($gas, 'superheat_k'), 0.1);
    }

    public function test_an_end_that_is_guessed_from_little_is_told_with_its_width(): void
    {
        $end = static fn (float ...$boxes): Answer => self::of(Sum::PullDownEnd, [
            'times_s' => array_map(static fn (int $i): float => 900.0 * $i, array_keys($boxes)),
            'boxes_c' => array_map(static fn (float $one): float => 273.15 + $one, array_values($boxes)),
            'target_c' => 275.15,
        ]);
        $fall = static fn (float $time): float => 1.0 + 9.0 * exp(-$time / 2000);
        $long = $end(...array_map(static fn (int $i): float => $fall(900.0 * $i), range(0, 7)));
        $short = $end(...array_map(static fn (int $i): float => $fall(900.0 * $i), range(0, 2)));

        self::assertEqualsWithDelta(274.15, self::value($long, 'final_c'), 0.1);
        self::assertLessThan(0.4, self::value($long, 'width_k'));
        self::assertGreaterThan(2 * self::value($long, 'width_k'), self::value($short, 'width_k'));
        self::assertFalse($long->output('unsure')?->value, 'it ends a kelvin below its set point');
        self::assertTrue($short->output('unsure')?->value, 'that is within what the readings leave open');
    }

    public function test_what_is_weighed_in_is_plate_drier_and_lines(): void
    {
        $answer = self::of(Sum::WeighIn, ['plate_kg' => 3.0, 'drier_kg' => 0.1, 'line_kg' => 0.4]);

        self::assertEqualsWithDelta(3.5, self::value($answer, 'whole_kg'), 1e-9);
        self::assertEqualsWithDelta(0.105, self::value($answer, 'few_kg'), 1e-9);
        self::assertEqualsWithDelta(
            0.2,
            self::value(self::of(Sum::MassOff, ['of_kg' => 3.0, 'less_kg' => 3.2]), 'size_kg'),
            1e-9,
        );
    }

    public function test_a_vacuum_that_goes_on_rising_leaks_and_one_that_levels_off_does_not(): void
    {
        $held = static fn (float ...$pascal): Answer => self::of(Sum::VacuumHold, [
            'times_s' => array_map(static fn (int $i): float => 120.0 * $i, array_keys($pascal)),
            'pressures_kpa' => array_values($pascal),
        ]);
        self::assertTrue($held(60.0, 90.0, 120.0, 150.0, 180.0)->output('keeps_rising')?->value);
        self::assertFalse($held(60.0, 140.0, 165.0, 170.0, 172.0)->output('keeps_rising')?->value);
        self::assertFalse($held(50.0, 51.0, 52.0, 52.0, 53.0)->output('keeps_rising')?->value, 'it holds');
    }

    public function test_a_shut_in_gas_falls_with_the_cold_before_any_is_lost(): void
    {
        // 10 bar on the gauge at 20 °C are 1101.325 kPa absolute; at 10 °C 1063.76, on the gauge 962.4.
        $of = static fn (float $last): Answer => self::of(Sum::PressureHeld, [
            'first_kpa' => 1_000_000.0,
            'first_c' => 293.15,
            'last_kpa' => $last,
            'last_c' => 283.15,
        ]);
        self::assertEqualsWithDelta(962_430.0, self::value($of(962_430.0), 'ought_kpa'), 50.0);
        self::assertEqualsWithDelta(0.0, self::value($of(962_430.0), 'lost_kpa'), 50.0);
        self::assertEqualsWithDelta(62_430.0, self::value($of(900_000.0), 'lost_kpa'), 50.0);
    }

    public function test_a_condenser_floods_by_the_split_it_does_not_need(): void
    {
        // 10 K of 40 are needed: three quarters stand full; in the warm none; never more than 95 %.
        $of = static fn (float $ambient, float $load = 1.0): float => self::value(self::of(Sum::FloodedShare, [
            'ambient_temperature_c' => $ambient,
            'condenser_split_k' => 10.0,
            'load_fraction' => $load,
            'minimum_condensing_c' => 303.15,
        ]), 'flooded_fraction');
        self::assertEqualsWithDelta(0.75, $of(263.15), 1e-9);
        self::assertEqualsWithDelta(0.875, $of(263.15, 0.5), 1e-9, 'fewer compressors flood more');
        self::assertSame(0.0, $of(298.15));
        self::assertSame(0.95, $of(243.15, 0.1), 'never all of it');
    }

    public function test_the_winter_extra_is_the_share_that_is_not_flooded_today(): void
    {
        // R-134a between −10 and 30 °C: liquid of 10 °C 1261 kg/m³, vapour at 30 °C 37.5.
        $of = static fn (float $then, float $today): float => self::value(self::of(Sum::WinterExtra, [
            'then_fraction' => $then,
            'today_fraction' => $today,
            'condenser_internal_volume_l' => 0.005,
            'minimum_condensing_c' => 303.15,
            'ambient_temperature_c' => 263.15,
        ]), 'winter_extra_kg');
        self::assertEqualsWithDelta(0.5 * 0.005 * (1261 - 37.5), $of(0.75, 0.25), 0.01);
        self::assertSame(0.0, $of(0.2, 0.4));
    }

    public function test_a_rise_is_the_slope_through_all_points(): void
    {
        $answer = self::of(Sum::Rise, [
            'times_s' => [0.0, 20.0, 40.0, 60.0],
            'pressures_kpa' => [10_000.0, 22_000.0, 30_000.0, 42_000.0],
        ]);
        // Slope by hand: Σ(t−30)(p−26)/Σ(t−30)² = (480 + 40 + 40 + 480)/2000 kPa/s.
        self::assertEqualsWithDelta(520.0, self::value($answer, 'rise_kpa_per_min'), 1e-6);
        self::assertEqualsWithDelta(32_000.0, self::value($answer, 'change_kpa'), 1e-6);
    }

    public function test_times_that_stand_still_are_refused(): void
    {
        $this->expectException(CannotBe::class);
        self::of(Sum::Rise, ['times_s' => [0.0, 0.0], 'pressures_kpa' => [1.0, 2.0]]);
    }

    public function test_the_subcooling_hides_what_it_bears(): void
    {
        // R-134a, liquid of 35 °C: bubble 887 kPa absolute. At 930 kPa on the gauge it bears 144 kPa.
        $of = static fn (float $behind): Answer => self::of(Sum::HiddenDrop, [
            'before_kpa' => 930_000.0,
            'after_kpa' => $behind,
            'liquid_c' => 308.15,
        ]);
        self::assertEqualsWithDelta(144_000.0, self::value($of(900_000.0), 'available_kpa'), 1_500.0);
        self::assertFalse($of(800_000.0)->output('flashes')?->value);
        self::assertTrue($of(770_000.0)->output('flashes')?->value);
    }

    /** @return iterable<string, array{list<float>, string, ?float}> line currents of 10 A rated */
    public static function legs(): iterable
    {
        yield 'all' => [[10.0, 9.9, 10.1], 'whole', 1.0];
        yield 'a line open' => [[8.66, 0.0, 8.66], 'leg_open', 0.5];
        yield 'an element of a delta open' => [[5.77, 10.0, 5.77], 'element_open', 2 / 3];
        yield 'nothing' => [[0.0, 0.0, 0.0], 'none', 0.0];
        yield 'what no single open part gives' => [[3.0, 7.0, 9.0], 'other', null];
    }

    /** @param  list<float>  $amps */
    #[DataProvider('legs')]
    public function test_line_currents_tell_what_is_open(array $amps, string $pattern, ?float $heat): void
    {
        $answer = self::of(Sum::Legs, [
            'first_a' => $amps[0],
            'second_a' => $amps[1],
            'third_a' => $amps[2],
            'rated_a' => 10.0,
        ]);
        self::assertSame($pattern, $answer->output('pattern')?->value);
        self::assertSame($heat, $answer->output('heat_percent')?->value);
    }

    public function test_imbalance_is_the_farthest_from_the_mean(): void
    {
        $answer = self::of(Sum::Imbalance, ['first_v' => 400.0, 'second_v' => 400.0, 'third_v' => 388.0]);

        self::assertEqualsWithDelta(8.0 / 396.0, self::value($answer, 'imbalance_percent'), 1e-9);
    }

    public function test_the_first_place_that_is_colder_is_named(): void
    {
        $walk = static fn (array $places): Answer => self::of(Sum::FirstColder, ['counts_k' => 1.0] + $places);
        $along = [
            'condenser_c' => 308.0,
            'before_drier_c' => 307.5,
            'after_drier_c' => 304.0,
            'valve_inlet_c' => 301.0,
        ];
        $drier = $walk($along);
        self::assertSame('drier', $drier->output('where')?->value);
        self::assertEqualsWithDelta(3.5, self::value($drier, 'drop_k'), 1e-9);
        $line = $walk(['condenser_c' => 308.0, 'valve_inlet_c' => 303.0]);
        self::assertSame('line_to_valve', $line->output('where')?->value);
        $none = $walk(['condenser_c' => 308.0, 'before_drier_c' => 307.5, 'valve_inlet_c' => 307.0]);
        self::assertSame('nowhere', $none->output('where')?->value);
        $leg = $walk(['condenser_c' => 308.0, 'receiver_c' => 305.0, 'valve_inlet_c' => 305.0]);
        self::assertSame('line_to_receiver', $leg->output('where')?->value);
    }

    public function test_a_pull_down_is_told_to_its_end(): void
    {
        // 2 °C + 10 K · exp(−t/1800 s), read at uneven times.
        $times = [0.0, 500.0, 1500.0, 2400.0];
        $boxes = array_map(static fn (float $t): float => 275.15 + 10 * exp(-$t / 1800), $times);
        $of = static fn (float $target): Answer => self::of(Sum::PullDownEnd, [
            'times_s' => $times,
            'boxes_c' => $boxes,
            'target_c' => $target,
        ]);
        $arrives = $of(277.15);
        self::assertTrue($arrives->output('reaches')?->value);
        self::assertEqualsWithDelta(275.15, self::value($arrives, 'final_c'), 0.15);
        // From 10·exp(−2400/1800) = 2.636 K above its end to 2 K above it.
        self::assertEqualsWithDelta(1800 * log(2.636 / 2.0), self::value($arrives, 'to_go_s'), 60.0);
        self::assertFalse($of(274.15)->output('reaches')?->value, 'it ends above the set point');
    }

    public function test_a_straight_pull_down_does_not_tell_its_end(): void
    {
        $answer = self::of(Sum::PullDownEnd, [
            'times_s' => [0.0, 600.0, 1200.0],
            'boxes_c' => [285.0, 284.0, 283.0],
            'target_c' => 278.0,
        ]);
        self::assertFalse($answer->output('bends')?->value);
        self::assertNull($answer->output('final_c')?->value);
        self::assertEqualsWithDelta(3000.0, self::value($answer, 'straight_s'), 1e-6);
    }

    public function test_a_bend_that_is_hardly_seen_tells_no_end(): void
    {
        $of = static fn (float ...$boxes): Answer => self::of(Sum::PullDownEnd, [
            'times_s' => [0.0, 600.0, 1200.0],
            'boxes_c' => $boxes,
            'target_c' => 275.15,
        ]);
        $hardly = $of(285.0, 284.0, 283.05);
        self::assertFalse($hardly->output('bends')?->value, 'at −8 °C, and elsewhere with the next tenth');
        self::assertNull($hardly->output('final_c')?->value);
        self::assertTrue($of(285.0, 282.0, 280.0)->output('bends')?->value);
    }

    public function test_a_trace_of_a_pipe_is_a_trace_of_superheat(): void
    {
        // R-134a at 200.6 kPa absolute: dew −10 °C.
        $answer = self::of(Sum::Trace, [
            'suction_kpa' => 99_300.0,
            'times_s' => [0.0, 60.0, 120.0, 180.0, 240.0, 300.0],
            'pipes_c' => [265.15, 275.15, 265.15, 275.15, 265.15, 275.15],
            'wanted_k' => 6.0,
        ]);
        self::assertEqualsWithDelta(2.0, self::value($answer, 'lowest_k'), 0.1);
        self::assertEqualsWithDelta(10.0, self::value($answer, 'peak_to_peak_k'), 1e-6);
        self::assertTrue($answer->output('hunting')?->value);
    }

    public function test_a_cut_out_stays_above_every_floor(): void
    {
        // R-134a: box 2, coil −3.5, 11 K below that −14.5 °C: 66 kPa on the gauge by the table.
        $wanted = ['box_c' => 275.15, 'td_k' => 5.5, 'below_k' => 11.0, 'drop_kpa' => 0.0];
        $out = self::of(Sum::CutOut, $wanted + ['at_most_kpa' => 90_000.0]);
        self::assertEqualsWithDelta(66_000.0, self::value($out, 'kpa'), 1_000.0);
        $far = self::of(Sum::CutOut, ['drop_kpa' => 12_000.0, 'at_most_kpa' => 90_000.0] + $wanted);
        self::assertEqualsWithDelta(54_000.0, self::value($far, 'kpa'), 1_000.0, 'less what the line takes');
        $held = self::of(Sum::CutOut, $wanted + ['at_most_kpa' => 40_000.0]);
        self::assertEqualsWithDelta(40_000.0, self::value($held, 'kpa'), 1e-6);
        $floor = self::of(Sum::HigherOf, ['wanted_kpa' => 5_000.0, 'floor_kpa' => 14_000.0]);
        self::assertSame(14_000.0, self::value($floor, 'kpa'));
        self::assertTrue($floor->output('at_floor')?->value);
    }

    public function test_a_cut_in_is_a_differential_above_the_cut_out_where_the_coldest_day_reaches_it(): void
    {
        $of = static fn (float $differential): Answer => self::of(Sum::CutIn, [
            'cut_out_kpa' => 20_000.0,
            'differential_kpa' => $differential,
            'at_most_kpa' => 137_000.0,
        ]);
        self::assertEqualsWithDelta(100_000.0, self::value($of(80_000.0), 'kpa'), 1e-6);
        self::assertTrue($of(80_000.0)->output('fits')?->value);
        self::assertEqualsWithDelta(137_000.0, self::value($of(150_000.0), 'kpa'), 1e-6, 'never out of reach');
        self::assertFalse($of(150_000.0)->output('fits')?->value);
    }

    /** @param  array<string, float|list<float>>  $values  SI */
    private static function of(Sum $sum, array $values): Answer
    {
        return $sum->does()->answer(new Inputs($values + ['refrigerant' => 'R-134a'], new Units()));
    }

    private static function value(Answer $answer, string $key): float
    {
        $value = $answer->output($key)?->value;
        self::assertIsFloat($value);

        return $value;
    }
}
