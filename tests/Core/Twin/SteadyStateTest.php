<?php

declare(strict_types=1);

namespace Tests\Core\Twin;

use Eris\Generators;
use Eris\TestTrait;
use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Installation\Circuit;
use Metrum\Installation\CondenserPlace;
use Metrum\Installation\Design;
use Metrum\Installation\HeadPressureControl;
use Metrum\Installation\Kind;
use Metrum\Installation\Metering;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Word;
use Metrum\Twin\Disorder;
use Metrum\Twin\Machine;
use Metrum\Twin\PlantState;
use Metrum\Twin\RandomPlants;
use Metrum\Twin\Sizing;
use Metrum\Twin\SteadyState;
use Metrum\Twin\Surroundings;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The whole plant at rest in its work: balances, direction, sane figures. */
final class SteadyStateTest extends TestCase
{
    use TestTrait;

    public function test_heat_and_charge_balance_for_any_plant_fault_and_weather(): void
    {
        $this->limitTo(120)
            ->forAll(
                Generators::choose(1, 100000),
                Generators::elements(Fault::cases()),
                Generators::choose(10, 100),
            )
            ->then(function (int $seed, Fault $fault, int $severity): void {
                $random = new RandomPlants($seed);
                $machine = (new Sizing($random->circuit()))->machine();
                $state = (new SteadyState(
                    Disorder::in($machine, $fault, $severity / 100),
                    $random->surroundings($machine, $random->chance(0.3)),
                ))->find();
                if (! $state->runs()) {
                    self::assertMatchesRegularExpression(
                        '/^off on (low|high) pressure: /',
                        (string) $state->stopped?->sentence(),
                    );

                    return;
                }
                self::assertLessThan(0.005, $state->energyResidual);
                self::assertLessThan(0.001, $state->massResidual);
                // Refrigerant side and air side, each from its own temperatures and flows.
                self::assertEqualsWithDelta(1.0, $state->coilAirHeat / $state->cooling, 0.005, 'coil');
                self::assertEqualsWithDelta(
                    1.0,
                    $state->condenserAirHeat / $state->condenserHeat,
                    0.005,
                    'condenser',
                );
                self::assertGreaterThan(0.0, $state->power);
            });
    }

    /** Next to no charge, and a head valve that bypasses: what reaches the coil is gas, warmer than boiling. */
    public function test_a_coil_that_gets_gas_alone_takes_from_the_air_what_that_gas_still_can(): void
    {
        foreach ([1795 => 97, 43392 => 84] as $seed => $severity) {
            $random = new RandomPlants($seed);
            $machine = (new Sizing($random->circuit()))->machine();
            $around = $random->surroundings($machine, $random->chance(0.3));
            $state = (new SteadyState(Disorder::in($machine, Fault::Undercharge, $severity / 100), $around))->find();
            self::assertSame(1.0, $state->dryShare);
            self::assertEqualsWithDelta($state->cooling, $state->coilAirHeat, 0.005 * abs($state->cooling), "$seed");
            $inlet = $state->readings[Reading::CoilInletTemperature->value];
            // Hotter than the air comes in: it is cooled, and the air warmed.
            self::assertSame($inlet > $around->box, $state->cooling < 0.0, "$seed");
            self::assertGreaterThan(
                $machine->fluid->dewTemperature(
                    $state->readings[Reading::EvaporatorPressure->value] + $around->atmosphere,
                ),
                $inlet,
                "$seed",
            );
        }
    }

    public function test_the_design_point_is_met_as_it_was_given(): void
    {
        foreach ([['R-448A', 8.5], ['R-134a', 7.0], ['R-404A', 6.5], ['R-290', 7.0]] as [$refrigerant, $td]) {
            $circuit = self::plain($refrigerant, new Design($td, 12.0, 5.0, 3.0, 275.15, 9.8));
            $machine = (new Sizing($circuit))->machine();
            $state = (new SteadyState($machine, new Surroundings($machine->design->ambient, 275.15)))->find();
            $figures = Figures::of(new Findings($circuit, readings: $state->readings), new HouseRules());
            self::assertEqualsWithDelta($td, $figures->value(DerivedFigure::EvaporatorTd), 0.25, $refrigerant);
            self::assertEqualsWithDelta(12.0, $figures->value(DerivedFigure::CondenserSplit), 0.1, $refrigerant);
            self::assertEqualsWithDelta(5.0, $figures->value(DerivedFigure::EvaporatorSuperheat), 0.2);
            self::assertEqualsWithDelta(3.0, $figures->value(DerivedFigure::Subcooling), 0.25);
            self::assertEqualsWithDelta(74.0, 100 * $figures->value(DerivedFigure::CurrentShare), 3.0);
        }
    }

    private static function plain(
        string $refrigerant,
        Design $design = new Design(),
        HeadPressureControl $control = HeadPressureControl::None,
    ): Circuit {
        return new Circuit(
            $refrigerant,
            Kind::WalkInCooler,
            Metering::Txv,
            CondenserPlace::AirOutdoor,
            $control,
            true,
            false,
            design: $design,
        );
    }

    /** @return iterable<string, array{string}> what coolers are charged with */
    public static function refrigerants(): iterable
    {
        foreach (
            [
                'R-448A',
                'R-449A',
                'R-404A',
                'R-507A',
                'R-134a',
                'R-513A',
                'R-450A',
                'R-407A',
                'R-407C',
                'R-407F',
                'R-290',
                'R-454C',
                'R-455A',
                'R-22',
                'R-422D',
                'R-427A',
                'R-452A',
                'R-1234yf',
                'R-1270',
                'R-600a',
                'R-12',
                'R-502',
            ] as $name
        ) {
            yield $name => [$name];
        }
    }

    #[DataProvider('refrigerants')]
    public function test_a_healthy_cooler_has_sane_figures(string $refrigerant): void
    {
        $circuit = self::plain($refrigerant);
        $state = (new SteadyState((new Sizing($circuit))->machine(), new Surroundings(303.15, 275.15)))->find();
        $figures = Figures::of(new Findings($circuit, readings: $state->readings), new HouseRules());
        self::assertEqualsWithDelta(-5.5, (float) $figures->value(DerivedFigure::CoilMiddle) - 273.15, 4.0);
        $discharge = (float) $state->reading(Reading::DischargeTemperature) - 273.15;
        self::assertGreaterThan(46.0, $discharge);
        self::assertLessThan($refrigerant === 'R-22' ? 95.0 : 88.0, $discharge);
        self::assertEqualsWithDelta(12.5, $figures->value(DerivedFigure::CondenserSplit), 2.0);
        self::assertEqualsWithDelta(4.3, $figures->value(DerivedFigure::CompressionRatio), 1.1);
        self::assertEqualsWithDelta(5.5, $figures->value(DerivedFigure::EvaporatorSuperheat), 1.2);
        self::assertEqualsWithDelta(45.0, 100 * (float) $state->reading(Reading::ReceiverLevel), 6.0);
        self::assertSame(Word::Clear, $state->observed(Observation::SightGlass));
    }

    public function test_carbon_dioxide_below_its_critical_point(): void
    {
        $circuit = new Circuit(
            'R-744',
            Kind::WalkInFreezer,
            Metering::Eev,
            CondenserPlace::Water,
            HeadPressureControl::None,
            true,
            false,
            design: new Design(condenserSplit: 5.0),
        );
        $state = (new SteadyState((new Sizing($circuit))->machine(), new Surroundings(268.15, 253.15)))->find();
        self::assertTrue($state->runs(), (string) $state->stopped?->sentence());
        self::assertLessThan(0.005, $state->energyResidual);
    }

    public function test_dirt_raises_the_head_step_by_step(): void
    {
        $this->monotone(
            static fn (Machine $machine, float $s): Machine => Disorder::in(
                $machine,
                Fault::CondenserAirflowLow,
                $s,
            ),
            static fn (PlantState $state): ?float => $state->reading(Reading::DischargePressure),
            1,
        );
    }

    public function test_dirt_on_the_coil_lowers_the_suction_step_by_step(): void
    {
        $this->monotone(
            static fn (Machine $machine, float $s): Machine => Disorder::in(
                $machine,
                Fault::EvaporatorAirflowLow,
                $s,
            ),
            static fn (PlantState $state): ?float => $state->reading(Reading::SuctionPressure),
            -1,
        );
    }

    public function test_more_superheat_set_is_less_capacity(): void
    {
        $this->monotone(
            static fn (Machine $machine, float $s): Machine => $machine->with(
                feed: $machine->feed->turned(2 * $s),
            ),
            static fn (PlantState $state): float => $state->cooling,
            -1,
        );
    }

    public function test_wear_pumps_less_and_raises_the_suction(): void
    {
        $worn = static fn (Machine $machine, float $s): Machine => Disorder::in(
            $machine,
            Fault::CompressorInefficient,
            $s,
        );
        $this->monotone(
            $worn,
            static fn (PlantState $state): ?float => $state->reading(Reading::SuctionPressure),
            1,
        );
        $this->monotone($worn, static fn (PlantState $state): float => $state->cooling, -1);
    }

    public function test_lower_ambient_is_lower_head_until_its_control_holds(): void
    {
        $head = static function (HeadPressureControl $control, float $ambient): float {
            $machine = (new Sizing(self::cooler($control)))->machine();

            return (float) (new SteadyState($machine, new Surroundings(273.15 + $ambient, 276.15)))
                ->find()
                ->reading(Reading::DischargePressure);
        };
        foreach (HeadPressureControl::cases() as $control) {
            self::assertGreaterThan($head($control, 25), $head($control, 35), $control->value);
        }
        self::assertLessThan(0.8 * $head(HeadPressureControl::None, 10), $head(HeadPressureControl::None, -5));
        $controls = [
            HeadPressureControl::FloodingValve,
            HeadPressureControl::FanSpeed,
            HeadPressureControl::FanCycling,
        ];
        foreach ($controls as $control) {
            self::assertGreaterThan(0.82 * $head($control, 8), $head($control, -8), $control->value.' holds');
        }
    }

    public function test_charge_changes_nothing_while_the_receiver_buffers(): void
    {
        $machine = (new Sizing(self::cooler()))->machine();
        $around = new Surroundings(300.15, 276.15);
        $as = static fn (float $share): PlantState => (new SteadyState(
            $machine->with(charge: $machine->charge + $share * $machine->design->buffer),
            $around,
        ))->find();
        $usual = $as(0.0);
        foreach ([-0.8, -0.4, 0.4, 0.8] as $share) {
            $taken = [
                Reading::SuctionPressure,
                Reading::DischargePressure,
                Reading::SuctionTemperatureEvaporator,
            ];
            foreach ($taken as $reading) {
                self::assertEqualsWithDelta(
                    $usual->reading($reading),
                    $as($share)->reading($reading),
                    1e-3 * (float) $usual->reading($reading),
                    $reading->value.' at '.$share,
                );
            }
        }
        self::assertLessThan($usual->level, $as(-0.4)->level);
        self::assertGreaterThan($usual->level, $as(0.4)->level);
        // Below empty all arrows move at once, above full liquid backs up into the condenser.
        self::assertGreaterThan(0.005, $as(-1.3)->valveQuality);
        self::assertGreaterThan(
            $usual->flooded + 0.05,
            (new SteadyState(Disorder::in($machine, Fault::Overcharge, 0.6), $around))->find()->flooded,
        );
    }

    public function test_without_receiver_charge_answers_at_once(): void
    {
        $circuit = new Circuit(
            'R-290',
            Kind::ReachInCooler,
            Metering::Capillary,
            CondenserPlace::AirIndoor,
            HeadPressureControl::None,
            false,
            false,
        );
        $machine = (new Sizing($circuit))->machine();
        $around = new Surroundings(298.15, 277.15);
        $as = static fn (float $factor): Figures => Figures::of(
            new Findings(
                $circuit,
                readings: (new SteadyState($machine->with(charge: $factor * $machine->charge), $around))->find()
                    ->readings,
            ),
            new HouseRules(),
        );
        self::assertLessThan(
            $as(1.0)->value(DerivedFigure::CondenserSubcooling) - 1.0,
            $as(0.94)->value(DerivedFigure::CondenserSubcooling),
        );
        self::assertGreaterThan(
            $as(1.0)->value(DerivedFigure::CondenserSubcooling) + 1.0,
            $as(1.06)->value(DerivedFigure::CondenserSubcooling),
        );
        self::assertGreaterThan(
            $as(1.0)->value(DerivedFigure::EvaporatorSuperheat),
            $as(0.94)->value(DerivedFigure::EvaporatorSuperheat),
        );
    }

    public function test_a_flooding_valve_floods_bypasses_and_loses_its_seal_without_winter_charge(): void
    {
        $machine = (new Sizing(self::cooler(HeadPressureControl::FloodingValve)))->machine();
        $summer = (new SteadyState($machine, new Surroundings(303.15, 276.15)))->find();
        $winter = (new SteadyState($machine, new Surroundings(263.15, 276.15)))->find();
        self::assertSame(Word::Cold, $summer->observed(Observation::HeadPressureValveBypassLine));
        self::assertSame(Word::Hot, $winter->observed(Observation::HeadPressureValveBypassLine));
        self::assertGreaterThan(0.5, $winter->flooded);
        self::assertLessThan($summer->level, $winter->level, 'the receiver gives what the condenser takes');
        self::assertGreaterThan(
            $winter->reading(Reading::CondenserOutletTemperature) + 5,
            $winter->reading(Reading::ReceiverOutletTemperature),
        );
        $short = (new SteadyState(
            Disorder::in($machine, Fault::WinterUndercharge, 0.9),
            new Surroundings(263.15, 276.15),
        ))->find();
        self::assertSame(Word::Bubbles, $short->observed(Observation::SightGlass));
        self::assertTrue(
            (new SteadyState(
                Disorder::in($machine, Fault::WinterUndercharge, 0.9),
                new Surroundings(303.15, 276.15),
            ))
                ->find()
                ->observed(Observation::SightGlass) === Word::Clear,
            'in summer nothing shows',
        );
    }

    public function test_a_shut_solenoid_is_told_in_words(): void
    {
        $state = (new SteadyState(
            Disorder::in((new Sizing(self::cooler()))->machine(), Fault::LiquidSolenoidShut, 1.0),
            new Surroundings(300.15, 279.15),
        ))->find();
        self::assertFalse($state->runs());
        self::assertStringContainsString(
            'solenoid passes no liquid',
            (string) $state->stopped?->sentence(),
        );
        self::assertSame(Word::OffOnLowPressure, $state->observed(Observation::Compressor));
        self::assertSame(0.0, $state->reading(Reading::CompressorCurrent));
    }

    public function test_a_choked_condenser_trips_on_high_pressure(): void
    {
        $state = (new SteadyState(
            Disorder::in((new Sizing(self::cooler()))->machine(), Fault::CondenserAirflowLow, 1.0),
            new Surroundings(313.15, 281.15),
        ))->find();
        self::assertStringStartsWith('off on high pressure', (string) $state->stopped?->sentence());
    }

    public function test_a_load_finds_its_own_box_temperature(): void
    {
        $machine = (new Sizing(self::cooler()))->machine();
        $light = SteadyState::atLoad($machine, 300.15, 0.7 * $machine->design->cooling, 101325.0);
        $heavy = SteadyState::atLoad($machine, 300.15, 1.2 * $machine->design->cooling, 101325.0);
        self::assertEqualsWithDelta(0.7 * $machine->design->cooling, $light->cooling, 2.0);
        self::assertGreaterThan(
            $light->reading(Reading::BoxTemperature) + 5,
            $heavy->reading(Reading::BoxTemperature),
        );
    }

    public function test_any_start_leads_to_the_same_state(): void
    {
        $machine = (new Sizing(self::cooler()))->machine();
        $plant = new SteadyState($machine, new Surroundings(305.15, 280.15));
        $wanted = $plant->find()->solution;
        self::assertNotNull($wanted);
        $this->limitTo(40)
            ->forAll(
                Generators::choose(-80, 60),
                Generators::choose(-30, 30),
                Generators::choose(-90, 50),
                Generators::choose(-60, 140),
            )
            ->then(static function (int $e, int $c, int $m, int $z) use ($plant, $wanted): void {
                $found = $plant->find([
                    $wanted[0] + $e / 100,
                    $wanted[1] + $c / 100,
                    $wanted[2] + $m / 100,
                    $wanted[3],
                    $z / 100,
                ])->solution;
                self::assertNotNull($found);
                foreach ($wanted as $i => $value) {
                    self::assertEqualsWithDelta($value, $found[$i], 1e-3);
                }
            });
    }

    private static function cooler(HeadPressureControl $control = HeadPressureControl::None): Circuit
    {
        return self::plain('R-448A', new Design(coldestAmbient: 261.15), $control);
    }

    /**
     * @param  callable(Machine, float): Machine  $change
     * @param  callable(PlantState): ?float  $figure
     */
    private function monotone(callable $change, callable $figure, int $direction): void
    {
        $random = new RandomPlants(77);
        for ($plant = 0; $plant < 12; $plant++) {
            do {
                $machine = (new Sizing($random->circuit()))->machine();
            } while ($machine->groupSuction !== null || $machine->feed->kind !== Metering::Txv);
            $around = $random->surroundings($machine);
            $before = null;
            foreach ([0.0, 0.15, 0.3, 0.45, 0.6] as $severity) {
                $state = (new SteadyState($change($machine, $severity), $around))->find();
                if (! $state->runs()) {
                    break;
                }
                $now = (float) $figure($state);
                if ($before !== null) {
                    self::assertGreaterThan(
                        -1e-6,
                        $direction * ($now - $before),
                        $machine->circuit->refrigerant.' at '.$severity,
                    );
                }
                $before = $now;
            }
        }
    }
}
