<?php

declare(strict_types=1);

namespace Tests\Core\Findings;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Knowledge\HouseRules;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Visits;

/** Derived figures against sums worked by hand from the published tables. */
final class FiguresTest extends TestCase
{
    /**
     * R-134a at sea level: 200.0 kPa gauge is 301.3 kPa absolute, saturated at 0.81 °C; 900 gauge is 1001.3 absolute,
     * 39.43 °C.
     *
     * @return iterable<string, array{DerivedFigure, float, float}> figure, value in its file unit, tolerance
     */
    public static function workedByHand(): iterable
    {
        yield 'saturated suction' => [DerivedFigure::SaturatedSuction, 0.81, 0.05];
        yield 'saturated evaporating' => [DerivedFigure::SaturatedEvaporator, 0.81, 0.05];
        yield 'saturated condensing' => [DerivedFigure::SaturatedCondensing, 39.43, 0.05];
        yield 'dew is bubble for a pure refrigerant' => [DerivedFigure::CondensingDew, 39.43, 0.05];
        yield 'superheat at the bulb' => [DerivedFigure::EvaporatorSuperheat, 6.2 - 0.81, 0.05];
        yield 'superheat at the compressor' => [DerivedFigure::CompressorSuperheat, 12.0 - 0.81, 0.05];
        yield 'line gain' => [DerivedFigure::SuctionLineGain, 5.8, 1e-6];
        yield 'subcooling at the receiver' => [DerivedFigure::ReceiverSubcooling, 39.43 - 35.0, 0.05];
        yield 'subcooling at the condenser' => [DerivedFigure::CondenserSubcooling, 39.43 - 35.6, 0.05];
        yield 'subcooling at the valve' => [DerivedFigure::ValveSubcooling, 39.43 - 33.0, 0.05];
        yield 'the main one is at the receiver' => [DerivedFigure::Subcooling, 39.43 - 35.0, 0.05];
        yield 'split' => [DerivedFigure::CondenserSplit, 39.43 - 27.0, 0.05];
        yield 'approach' => [DerivedFigure::CondenserApproach, 8.6, 1e-6];
        yield 'condenser air rise' => [DerivedFigure::CondenserAirRise, 7.5, 1e-6];
        yield 'TD' => [DerivedFigure::EvaporatorTd, 8.0 - 0.81, 0.05];
        yield 'air drop' => [DerivedFigure::CoilAirDrop, 3.4, 1e-6];
        yield 'ratio' => [DerivedFigure::CompressionRatio, 1001.325 / 301.325, 1e-4];
        yield 'drier drop' => [DerivedFigure::DrierDrop, 0.7, 1e-6];
        yield 'box above set point' => [DerivedFigure::BoxAboveSetPoint, 3.0, 1e-6];
        yield 'current share' => [DerivedFigure::CurrentShare, 75.0, 1e-6];
    }

    #[DataProvider('workedByHand')]
    public function test_it_agrees_with_the_sum_on_paper(DerivedFigure $key, float $value, float $tolerance): void
    {
        $figures = self::figures(
            Visits::of([
                'system' => ['refrigerant' => 'R-134a', 'receiver' => true],
                'design' => ['box_set_point_c' => 5, 'rated_current_a' => 8],
                'readings' => [
                    'suction_pressure_kpa' => 200,
                    'discharge_pressure_kpa' => 900,
                    'suction_temperature_evaporator_c' => 6.2,
                    'suction_temperature_compressor_c' => 12.0,
                    'receiver_outlet_temperature_c' => 35.0,
                    'condenser_outlet_temperature_c' => 35.6,
                    'valve_inlet_temperature_c' => 33.0,
                    'ambient_temperature_c' => 27.0,
                    'condenser_air_out_temperature_c' => 34.5,
                    'box_temperature_c' => 8.0,
                    'supply_air_temperature_c' => 4.6,
                    'drier_inlet_temperature_c' => 34.8,
                    'drier_outlet_temperature_c' => 34.1,
                    'compressor_current_a' => 6.0,
                ],
            ]),
        );
        self::assertNotNull($figures->figure($key), $key->value);
        self::assertEqualsWithDelta($value, $figures->figure($key)->inFileUnit(), $tolerance);
    }

    public function test_superheat_is_from_dew_and_subcooling_from_bubble(): void
    {
        $figures = self::figures(Visits::cooler());
        $fluid = Visits::cooler()->circuit->fluid();
        self::assertEqualsWithDelta(
            274.85 - $fluid->dewTemperature(345.1e3 + 101325),
            $figures->value(DerivedFigure::EvaporatorSuperheat),
            0.01,
        );
        self::assertEqualsWithDelta(
            $fluid->bubbleTemperature(1549.6e3 + 101325) - 304.75,
            $figures->value(DerivedFigure::Subcooling),
            0.01,
        );
    }

    public function test_the_coil_begins_colder_than_its_dew_by_the_glide_that_is_left(): void
    {
        // Knowledge: R-448A class, dew −6 means about −10.6 at the coil's inlet and −8.3 in its middle.
        $fluid = Visits::cooler()->circuit->fluid();
        $gauge = ($fluid->dewPressure(267.15) - 101325) / 1e3;
        $figures = self::figures(
            Visits::cooler(['suction_pressure_kpa' => $gauge, 'valve_inlet_temperature_c' => 30]),
        );
        self::assertEqualsWithDelta(-6.0, $figures->figure(DerivedFigure::SaturatedEvaporator)?->inFileUnit(), 0.01);
        self::assertEqualsWithDelta(-10.6, $figures->figure(DerivedFigure::CoilInlet)?->inFileUnit(), 0.5);
        self::assertEqualsWithDelta(-8.3, $figures->figure(DerivedFigure::CoilMiddle)?->inFileUnit(), 0.3);
    }

    public function test_altitude_shifts_every_saturation(): void
    {
        // Knowledge: at 1 800 m a sea-level chart shows the coil too warm, R-134a by about 4 K at −25 °C.
        $gauge = 5.0;
        $sea = self::figures(
            Visits::of([
                'system' => ['refrigerant' => 'R-134a'],
                'readings' => ['suction_pressure_kpa' => $gauge],
            ]),
        );
        $high = self::figures(
            Visits::of([
                'system' => ['refrigerant' => 'R-134a', 'atmospheric_kpa' => 81.5],
                'readings' => ['suction_pressure_kpa' => $gauge],
            ]),
        );
        $shift = $sea->value(DerivedFigure::SaturatedSuction) - $high->value(DerivedFigure::SaturatedSuction);
        self::assertGreaterThan(3.5, $shift);
        self::assertLessThan(5.5, $shift);
    }

    public function test_negative_subcooling_stays_negative_and_says_what_it_means(): void
    {
        $figure = self::figures(Visits::cooler(['receiver_outlet_temperature_c' => 38.5]))->figure(
            DerivedFigure::Subcooling,
        );
        self::assertNotNull($figure);
        self::assertLessThan(-1.0, $figure->si);
        self::assertStringContainsString('no liquid seal', (string) $figure->meaning?->sentence());
    }

    public function test_negative_superheat_is_real_down_to_the_glide_and_a_wrong_reading_beyond(): void
    {
        $within = self::figures(Visits::cooler(['suction_temperature_evaporator_c' => -7.5]))->figure(
            DerivedFigure::EvaporatorSuperheat,
        );
        $beyond = self::figures(Visits::cooler(['suction_temperature_evaporator_c' => -16.0]))->figure(
            DerivedFigure::EvaporatorSuperheat,
        );
        self::assertStringContainsString('liquid is leaving', (string) $within?->meaning?->sentence());
        self::assertStringContainsString(
            'beyond what the refrigerant can show',
            (string) $beyond?->meaning?->sentence(),
        );
    }

    public function test_what_was_not_measured_stays_unknown(): void
    {
        $figures = self::figures(
            Visits::of([
                'readings' => ['suction_temperature_evaporator_c' => 4.0, 'ambient_temperature_c' => 20],
            ]),
        );
        self::assertSame([], $figures->all());
        self::assertNull($figures->value(DerivedFigure::EvaporatorSuperheat));
    }

    public function test_outside_the_table_the_reason_is_kept(): void
    {
        $figures = self::figures(
            Visits::of([
                'system' => ['refrigerant' => 'R-404A'],
                'readings' => ['discharge_pressure_kpa' => 9000],
            ]),
        );
        self::assertNull($figures->value(DerivedFigure::SaturatedCondensing));
        self::assertStringContainsString(
            'abs is outside the property table',
            $figures->unknown()[DerivedFigure::SaturatedCondensing->value],
        );
    }

    public function test_loss_free_discharge_is_cooler_than_what_is_expected_at_the_pipe(): void
    {
        $figures = self::figures(Visits::cooler());
        self::assertGreaterThan(
            $figures->value(DerivedFigure::SaturatedCondensing),
            $figures->value(DerivedFigure::IdealDischarge),
        );
        self::assertGreaterThan(
            $figures->value(DerivedFigure::IdealDischarge),
            $figures->value(DerivedFigure::ExpectedDischarge),
        );
    }

    public function test_with_liquid_in_the_gas_no_discharge_is_foretold(): void
    {
        $figures = self::figures(Visits::cooler(['suction_temperature_compressor_c' => -6.0]));
        self::assertNull($figures->value(DerivedFigure::IdealDischarge));
        self::assertStringContainsString('below saturation', $figures->unknown()[DerivedFigure::IdealDischarge->value]);
    }

    public function test_without_receiver_the_condenser_outlet_speaks_for_subcooling(): void
    {
        $figures = self::figures(
            Visits::of([
                'system' => ['refrigerant' => 'R-448A', 'receiver' => false],
                'readings' => [
                    'discharge_pressure_kpa' => 1500,
                    'condenser_outlet_temperature_c' => 29,
                    'valve_inlet_temperature_c' => 27,
                ],
            ]),
        );
        self::assertSame(
            $figures->value(DerivedFigure::CondenserSubcooling),
            $figures->value(DerivedFigure::Subcooling),
        );
    }

    public function test_the_receivers_own_pressure_goes_before_the_discharge_pressure(): void
    {
        // Under a throttling head pressure valve the two differ.
        $figures = self::figures(Visits::cooler(['receiver_pressure_kpa' => 1200]));
        $fluid = Visits::cooler()->circuit->fluid();
        self::assertEqualsWithDelta(
            $fluid->bubbleTemperature(1200e3 + 101325) - 304.75,
            $figures->value(DerivedFigure::ReceiverSubcooling),
            0.01,
        );
    }

    public function test_the_coils_own_pressure_goes_before_the_suction_pressure(): void
    {
        $figures = self::figures(Visits::cooler(['evaporator_pressure_kpa' => 372.1]));
        self::assertGreaterThan(
            $figures->value(DerivedFigure::SaturatedSuction),
            $figures->value(DerivedFigure::SaturatedEvaporator),
        );
        self::assertEqualsWithDelta(27.0, $figures->figure(DerivedFigure::SuctionLineDrop)?->inFileUnit(), 1e-6);
    }

    public function test_at_the_ends_of_the_glide_split_and_td_change_reference(): void
    {
        $middle = self::figures(Visits::cooler());
        $ends = Figures::of(Visits::cooler(), new HouseRules(['glide_reference' => 'ends']));
        self::assertEqualsWithDelta(
            $ends->value(DerivedFigure::SaturatedCondensing) - 298.15,
            $ends->value(DerivedFigure::CondenserSplit),
            1e-9,
        );
        self::assertGreaterThan(
            $ends->value(DerivedFigure::CondenserSplit),
            $middle->value(DerivedFigure::CondenserSplit),
        );
        self::assertGreaterThan($ends->value(DerivedFigure::EvaporatorTd), $middle->value(DerivedFigure::EvaporatorTd));
    }

    public function test_every_figure_names_its_formula_and_inputs(): void
    {
        $all = self::figures(Visits::cooler())->all();
        self::assertGreaterThan(10, count($all));
        foreach ($all as $figure) {
            self::assertNotSame('', $figure->formula(), $figure->key->value);
            self::assertNotSame([], $figure->from, $figure->key->value);
            self::assertNotSame('', $figure->key->label());
        }
    }

    private static function figures(Findings $findings): Figures
    {
        return Figures::of($findings, new HouseRules());
    }
}
