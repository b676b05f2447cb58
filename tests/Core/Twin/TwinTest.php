<?php

declare(strict_types=1);

namespace Tests\Core\Twin;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Findings\Sign;
use Metrum\Installation\Circuit;
use Metrum\Installation\CondenserPlace;
use Metrum\Installation\Design;
use Metrum\Installation\HeadPressureControl;
use Metrum\Installation\Kind;
use Metrum\Installation\Metering;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Twin\RandomPlants;
use Metrum\Twin\Sizing;
use Metrum\Twin\SteadyState;
use Metrum\Twin\Surroundings;
use Metrum\Twin\Twin;
use Metrum\Twin\TwinExpectation;
use Metrum\Twin\Twins;
use PHPUnit\Framework\TestCase;
use Tests\Core\Visits;

/** What is expected of a plant, and how surely. */
final class TwinTest extends TestCase
{
    public function test_the_more_is_known_the_narrower_is_what_is_expected(): void
    {
        $around = new Surroundings(298.15, 276.15);
        $known = Twin::fittedTo(Visits::cooler()->circuit)->expectedAt($around);
        $unknown = Twin::fittedTo(Visits::of(['system' => Visits::COOLER['system']])->circuit)->expectedAt(
            $around,
        );
        foreach (
            [Reading::SuctionPressure, Reading::DischargePressure, Reading::SuctionTemperatureEvaporator] as $reading
        ) {
            self::assertLessThan(
                $unknown[$reading->value]->deviation,
                $known[$reading->value]->deviation,
                $reading->value,
            );
            self::assertGreaterThan(0.0, $known[$reading->value]->deviation);
        }
    }

    public function test_where_a_regulator_is_set_nobody_wrote_down(): void
    {
        $around = new Surroundings(298.15, 276.15);
        $regulated = ['kind' => 'rack_circuit_medium', 'evaporator_pressure_regulator' => true];
        $system = $regulated + Visits::COOLER['system'];
        $apart = static function (array $file) use ($around): float {
            $circuit = Visits::of($file)->circuit;
            $expected = Twin::fittedTo($circuit)->expectedAt($around)[Reading::EvaporatorPressure->value];
            $fluid = $circuit->fluid();
            $dew = static fn (float $more): float => $fluid->dewTemperature($expected->value + 101325 + $more);

            return $dew($expected->deviation) - $dew(0.0);
        };
        $planned = $apart(['system' => $system, 'design' => Visits::COOLER['design']]);
        $unknown = $apart(['system' => $system]);
        self::assertGreaterThan(0.7, $planned, 'K of dew, by the planned difference');
        self::assertGreaterThan($planned + 0.3, $unknown, 'K of dew, by nothing');
        self::assertLessThan(3.5, $unknown);
    }

    public function test_current_is_expected_only_where_the_plate_is_known(): void
    {
        $around = new Surroundings(298.15, 276.15);
        self::assertArrayNotHasKey(
            Reading::CompressorCurrent->value,
            Twin::fittedTo(Visits::of(['system' => Visits::COOLER['system']])->circuit)->expectedAt($around),
        );
        self::assertEqualsWithDelta(
            7.1,
            Twin::fittedTo(Visits::cooler()->circuit)->expectedAt($around)[Reading::CompressorCurrent->value]
                ->value,
            0.6,
        );
    }

    public function test_visits_that_ran_well_draw_the_twin_to_the_plant(): void
    {
        $circuit = self::circuit(
            new Design(
                evaporatorTd: 8.5,
                condenserSplit: 12.0,
                superheat: 5.5,
                subcooling: 3.0,
                boxSetPoint: 275.15,
            ),
        );
        // The real plant has a larger coil and a smaller condenser than its papers say.
        $real = Twin::fittedTo(
            self::circuit(
                new Design(
                    evaporatorTd: 10.0,
                    condenserSplit: 15.0,
                    superheat: 7.0,
                    subcooling: 3.0,
                    boxSetPoint: 275.15,
                ),
            ),
        );
        $around = new Surroundings(297.15, 276.15);
        $good = new Findings($circuit, readings: $real->at($around)->readings);
        $papers = Twin::fittedTo($circuit);
        $drawn = Twin::fittedTo($circuit, new HouseRules(), [$good]);
        $elsewhere = new Surroundings(303.15, 278.15);
        foreach (
            [Reading::SuctionPressure, Reading::DischargePressure, Reading::SuctionTemperatureEvaporator] as $reading
        ) {
            $truth = (float) $real->at($elsewhere)->reading($reading);
            self::assertLessThan(
                0.35 * abs((float) $papers->at($elsewhere)->reading($reading) - $truth),
                abs((float) $drawn->at($elsewhere)->reading($reading) - $truth),
                $reading->value,
            );
            self::assertLessThan(
                $papers->expectedAt($elsewhere)[$reading->value]->deviation,
                $drawn->expectedAt($elsewhere)[$reading->value]->deviation,
            );
        }
    }

    public function test_a_fault_moves_readings_out_of_what_is_expected(): void
    {
        $twin = Twin::fittedTo(Visits::cooler()->circuit);
        $around = new Surroundings(298.15, 276.15);
        $expected = $twin->expectedAt($around)[Reading::SuctionPressure->value];
        $short = $twin->withFault(Fault::Undercharge, 0.6, $around);
        self::assertLessThan(
            $expected->value - 2 * $expected->deviation,
            $short->reading(Reading::SuctionPressure),
        );
    }

    public function test_the_expectation_follows_box_and_weather(): void
    {
        $of = static fn (float $box, float $ambient): TwinExpectation => new TwinExpectation(
            Visits::cooler(['box_temperature_c' => $box, 'ambient_temperature_c' => $ambient]),
            new HouseRules(),
            Twin::fittedTo(Visits::cooler()->circuit),
        );
        self::assertGreaterThan(
            $of(2, 20)->run()['condenser_in']->value + 9,
            $of(2, 35)->run()['condenser_in']->value,
        );
        self::assertGreaterThan($of(2, 25)->run()['coil_out']->value + 3, $of(8, 25)->run()['coil_out']->value);
        self::assertEqualsWithDelta(8.5, $of(2, 27)->healthy(Sign::TdCoil)?->value, 1.0);
        self::assertNotNull(
            $of(2, 27)->healthy(Sign::Heater),
            'what the twin does not carry is expected from the house rules',
        );
    }

    public function test_without_weather_the_high_side_is_left_open(): void
    {
        $expectation = new TwinExpectation(
            Visits::cooler(['ambient_temperature_c' => null]),
            new HouseRules(),
            Twin::fittedTo(Visits::cooler()->circuit),
        );
        self::assertArrayNotHasKey('condenser_in', $expectation->run());
        self::assertArrayHasKey('coil_in', $expectation->run());
    }

    public function test_who_did_not_say_what_holds_the_head_has_a_plant_where_something_does(): void
    {
        $expected = static function (?string $head): ?float {
            $file = Visits::COOLER;
            unset($file['system']['head_pressure_control']);
            $file['system'] += $head === null ? [] : ['head_pressure_control' => $head];
            $file['readings'] = ['ambient_temperature_c' => -10, 'box_temperature_c' => 3];
            $findings = Visits::of($file);

            return (new Twins())
                ->expectation($findings, new HouseRules())
                ->reading(Reading::DischargePressure)
                ?->value;
        };
        self::assertNotNull($expected(null));
        self::assertEqualsWithDelta($expected('fan_cycling'), $expected(null), 1.0);
        self::assertEqualsWithDelta($expected('fan_cycling'), $expected('none'), 1.0);
        self::assertGreaterThan(8e5, $expected(null));
    }

    public function test_a_sound_compressor_is_as_hot_as_its_ratio_makes_it(): void
    {
        foreach (Kind::cases() as $kind) {
            foreach ([288.15, 305.15] as $ambient) {
                $machine = (new Sizing(Circuit::plain($kind)))->machine();
                $state = (new SteadyState($machine, new Surroundings($ambient, $machine->design->box)))->find();
                $figures = Figures::of(new Findings($machine->circuit, readings: $state->readings), new HouseRules());
                self::assertEqualsWithDelta(
                    $figures->value(DerivedFigure::ExpectedDischarge),
                    $state->reading(Reading::DischargeTemperature),
                    4.0,
                    $kind->value,
                );
            }
        }
    }

    public function test_random_plants_are_the_same_for_a_seed_and_of_every_kind(): void
    {
        $kinds = $refrigerants = [];
        $random = new RandomPlants(3);
        $again = new RandomPlants(3);
        for ($i = 0; $i < 120; $i++) {
            $circuit = $random->circuit();
            self::assertEquals($circuit, $again->circuit());
            $kinds[$circuit->kind->value ?? ''] = true;
            $refrigerants[$circuit->refrigerant] = true;
            self::assertGreaterThan(0.0, (new Sizing($circuit))->machine()->charge);
        }
        self::assertCount(count(Kind::cases()), $kinds);
        self::assertGreaterThan(18, count($refrigerants));
    }

    private static function circuit(Design $design): Circuit
    {
        return new Circuit(
            'R-448A',
            Kind::WalkInCooler,
            Metering::Txv,
            CondenserPlace::AirOutdoor,
            HeadPressureControl::None,
            true,
            false,
            design: $design,
        );
    }
}
