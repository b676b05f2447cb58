<?php

declare(strict_types=1);

namespace Tests\Core\Twin;

use Metrum\Installation\BoxControl;
use Metrum\Installation\Circuit;
use Metrum\Installation\CondenserPlace;
use Metrum\Installation\DefrostKind;
use Metrum\Installation\HeadPressureControl;
use Metrum\Installation\Kind;
use Metrum\Installation\Metering;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Reading;
use Metrum\Twin\Machine;
use Metrum\Twin\Mode;
use Metrum\Twin\Moment;
use Metrum\Twin\Simulation;
use Metrum\Twin\Sizing;
use Metrum\Twin\Trip;
use PHPUnit\Framework\TestCase;

/** The plant in time: what follows what. */
final class SimulationTest extends TestCase
{
    public function test_a_pull_down_is_nearly_exponential(): void
    {
        $run = self::hours(Simulation::of(self::cooler(), 300.15, 293.15), 4.0, 5.0, 600.0);
        $box = array_map(
            static fn (Moment $moment): float => $moment->readings[Reading::BoxTemperature->value],
            $run,
        );
        for ($i = 3; $i < count($box); $i++) {
            self::assertLessThan($box[$i - 1], $box[$i], 'it falls all the way');
            self::assertLessThan(
                $box[$i - 2] - $box[$i - 1] + 0.02,
                $box[$i - 1] - $box[$i],
                'and ever more slowly',
            );
        }
        // After the air's own minutes the walls and product lead: equal shares in equal times.
        $n = count($box) - 1;
        $first = ($box[6] - $box[12]) / ($box[12] - $box[18]);
        $later = ($box[$n - 12] - $box[$n - 6]) / ($box[$n - 6] - $box[$n]);
        self::assertEqualsWithDelta($first, $later, 0.35);
    }

    public function test_a_thermostat_cycles_with_pump_downs_between(): void
    {
        $run = self::hours(Simulation::of(self::cooler(), 298.15, 277.15), 10.0, 5.0, 15.0);
        $modes = self::changes($run);
        self::assertStringContainsString(
            'running pumping_down off running pumping_down off',
            implode(' ', $modes),
        );
        $box = array_map(
            static fn (Moment $moment): float => $moment->readings[Reading::BoxTemperature->value],
            array_slice($run, 240),
        );
        self::assertGreaterThan(275.15 - 1.5, min($box));
        self::assertLessThan(277.15 + 1.5, max($box));
        foreach ($run as $i => $moment) {
            if ($moment->mode === Mode::Off && ($run[$i - 1]->mode ?? null) === Mode::PumpingDown) {
                self::assertLessThan(
                    230e3,
                    $moment->readings[Reading::SuctionPressure->value],
                    'it stops pumped down',
                );
                self::assertGreaterThan(
                    $moment->readings[Reading::SuctionPressure->value],
                    $run[min(count($run) - 1, $i + 8)]->readings[Reading::SuctionPressure->value],
                    'and the suction creeps back',
                );
            }
        }
    }

    public function test_the_compressor_stays_off_at_least_its_minutes(): void
    {
        $since = null;
        foreach (self::hours(Simulation::of(self::cooler(), 305.15, 277.15), 6.0, 5.0, 5.0) as $moment) {
            if ($moment->mode === Mode::Off) {
                $since ??= $moment->time;
            } elseif ($since !== null) {
                if ($since > 0.0) {
                    self::assertGreaterThanOrEqual(175.0, $moment->time - $since);
                }
                $since = null;
            }
        }
    }

    public function test_a_freezer_frosts_defrosts_drips_and_waits_with_its_fans(): void
    {
        $run = self::hours(Simulation::of(self::freezer(), 298.15, 254.15), 13.0, 10.0, 10.0);
        $modes = implode(' ', self::changes($run));
        self::assertStringContainsString('defrosting dripping off running', $modes);
        self::assertSame(2, substr_count($modes, 'defrosting'));
        foreach ($run as $i => $moment) {
            $before = $run[max(0, $i - 1)];
            if ($moment->mode === Mode::Defrosting && $before->mode !== Mode::Defrosting) {
                self::assertGreaterThan(0.2, $before->frost);
            }
            if ($moment->mode === Mode::Dripping && $before->mode === Mode::Defrosting) {
                self::assertLessThan(0.1, $moment->frost, 'cleared');
                self::assertGreaterThan(
                    278.0,
                    $moment->readings[Reading::FanDelaySensor->value],
                    'ended by temperature',
                );
            }
            if ($moment->mode === Mode::Running && $before->mode === Mode::Off && $i > 20) {
                self::assertTrue(
                    ! $moment->fans || $moment->readings[Reading::FanDelaySensor->value] < 270.0,
                    'fans wait for a cold coil',
                );
            }
        }
    }

    public function test_frost_takes_air_in_hours_not_minutes(): void
    {
        $machine = self::freezer();
        $simulation = Simulation::of($machine, 298.15, 254.15, [[Fault::DefrostClockWrong, 1.0]]);
        $half = null;
        for ($second = 0; $second < 3 * 86400 && $half === null; $second += 20) {
            $simulation->advance(20.0);
            if ($second % 600 === 0 && $simulation->now()->air < 0.5) {
                $half = $second / 3600;
            }
        }
        self::assertNotNull($half);
        self::assertGreaterThan(6.0, $half);
        self::assertLessThan(48.0, $half);
    }

    public function test_failed_heaters_ice_the_coil_over_days(): void
    {
        $sound = self::last(Simulation::of(self::freezer(), 298.15, 254.15), 72.0);
        $failed = self::last(
            Simulation::of(self::freezer(), 298.15, 254.15, [[Fault::DefrostHeaterFailed, 1.0]]),
            72.0,
        );
        self::assertLessThan(0.8, $sound->frost);
        self::assertGreaterThan(3.0, $failed->frost);
        self::assertLessThan(0.3, $failed->air);
        self::assertGreaterThan(
            $sound->readings[Reading::BoxTemperature->value] + 8.0,
            $failed->readings[Reading::BoxTemperature->value],
        );
    }

    public function test_a_steep_valve_with_a_slow_bulb_hunts_and_a_sound_one_settles(): void
    {
        $swing = static function (array $faults): float {
            $run = self::hours(Simulation::of(self::cooler(), 300.15, 279.15, $faults), 0.7, 1.0, 2.0);
            $superheat = [];
            foreach (array_slice($run, -500) as $moment) {
                if (isset($moment->readings[Reading::SuctionTemperatureEvaporator->value])) {
                    $superheat[] =
                        $moment->readings[Reading::SuctionTemperatureEvaporator->value] -
                        $moment->readings[Reading::CoilInletTemperature->value];
                }
            }

            return max($superheat) - min($superheat);
        };
        $sound = $swing([]);
        $hunting = $swing([[Fault::ValveHunting, 0.9]]);
        self::assertLessThan(2.5, $sound);
        self::assertGreaterThan(max(4.0, 2 * $sound), $hunting);
    }

    public function test_a_swing_is_read_as_somebody_would_read_it(): void
    {
        $after = static function (float $turns, float $severity): array {
            $machine = self::cooler();
            $machine = $machine->with(feed: $machine->feed->turned($turns));
            $faults = $severity > 0.0 ? [[Fault::ValveHunting, $severity]] : [];
            $run = self::hours(Simulation::of($machine, 298.15, 277.15, $faults), 0.25, 2.0, 30.0);
            $running = array_filter($run, static fn (Moment $one): bool => $one->mode === Mode::Running);

            return end($running)->readings;
        };
        $sound = $after(0.0, 0.0);
        $open = $after(-1.5, 0.0);
        $slow = $after(-1.0, 0.8);
        $swing = Reading::SuperheatSwing->value;
        $lowest = Reading::SuperheatLowest->value;
        self::assertLessThan(0.5, $sound[$swing], 'a sound plant stands still');
        self::assertArrayNotHasKey(Reading::SuperheatPeriod->value, $sound, 'what does not swing has no period');
        self::assertGreaterThan(1.0, $open[$swing], 'one too far open swings');
        self::assertGreaterThan($open[$swing], $slow[$swing], 'with a slow bulb it swings more');
        self::assertLessThan($sound[$lowest] - 2.0, $slow[$lowest], 'and its lowest is nearer to liquid');
        self::assertGreaterThan(15.0, $slow[Reading::SuperheatPeriod->value]);
        self::assertLessThan(300.0, $slow[Reading::SuperheatPeriod->value]);
    }

    public function test_a_worn_compressor_lets_the_suction_rise_after_it_stops(): void
    {
        $rise = static function (array $faults): float {
            $simulation = Simulation::of(self::cooler(), 286.15, 278.15, $faults);
            $stopped = null;
            for ($second = 0; $second < 14400; $second++) {
                $simulation->advance(1.0);
                $now = $second % 5 === 0 || $stopped !== null ? $simulation->now() : null;
                if ($now !== null && $stopped === null && $now->mode === Mode::Off && $second > 900) {
                    $stopped = [$second, $now->readings[Reading::SuctionPressure->value]];
                }
                if ($stopped !== null && $now !== null && $second >= $stopped[0] + 60) {
                    return $now->readings[Reading::SuctionPressure->value] - $stopped[1];
                }
            }

            return 0.0;
        };
        self::assertGreaterThan(
            35e3,
            $rise([[Fault::CompressorInefficient, 0.5]]),
            'knowledge: over 35 kPa a minute means valves',
        );
        self::assertLessThan(20e3, $rise([]));
    }

    public function test_a_low_pressure_control_set_high_stops_the_plant_while_it_is_still_called(): void
    {
        $tripped = 0;
        foreach (
            self::hours(
                Simulation::of(self::cooler(), 298.15, 278.15, [[Fault::LowPressureControlWrong, 1.0]]),
                2.0,
                2.0,
                20.0,
            ) as $moment
        ) {
            $tripped += $moment->tripped === Trip::LowPressure && $moment->calls ? 1 : 0;
        }
        self::assertGreaterThan(20, $tripped);
    }

    public function test_an_open_door_warms_the_air_and_brings_frost(): void
    {
        // Both still pulling down, so that neither stops in between.
        $shut = Simulation::of(self::freezer(), 300.15, 261.15);
        $open = Simulation::of(self::freezer(), 300.15, 261.15);
        $warmer = 0.0;
        for ($second = 0; $second < 3600; $second += 5) {
            if ($second % 900 === 0) {
                $open->openDoor(180.0);
            }
            $shut->advance(5.0);
            $open->advance(5.0);
            $warmer +=
                $open->now()->readings[Reading::BoxTemperature->value] -
                $shut->now()->readings[Reading::BoxTemperature->value];
        }
        self::assertGreaterThan(0.1, $warmer / 720);
        self::assertGreaterThan($shut->now()->frost, $open->now()->frost);
    }

    public function test_a_day_in_coarse_steps_is_the_day_in_fine_ones(): void
    {
        $mean = static function (float $step): float {
            $run = self::hours(Simulation::of(self::cooler(), 298.15, 277.15), 8.0, $step, 60.0);

            return array_sum(
                array_map(
                    static fn (Moment $moment): float => $moment->readings[Reading::BoxTemperature->value],
                    $run,
                ),
            ) / count($run);
        };
        self::assertEqualsWithDelta($mean(2.0), $mean(10.0), 0.4);
    }

    private static function cooler(): Machine
    {
        return (new Sizing(
            new Circuit(
                'R-448A',
                Kind::WalkInCooler,
                Metering::Txv,
                CondenserPlace::AirOutdoor,
                HeadPressureControl::FanCycling,
                true,
                false,
                boxControl: BoxControl::ThermostatPumpDown,
                defrost: DefrostKind::OffCycle,
            ),
        ))->machine();
    }

    private static function freezer(): Machine
    {
        return (new Sizing(
            new Circuit(
                'R-404A',
                Kind::WalkInFreezer,
                Metering::Txv,
                CondenserPlace::AirOutdoor,
                HeadPressureControl::FanCycling,
                true,
                false,
                boxControl: BoxControl::ThermostatPumpDown,
                defrost: DefrostKind::Electric,
            ),
        ))->machine();
    }

    /** @return list<Moment> */
    private static function hours(Simulation $simulation, float $hours, float $step, float $every): array
    {
        $run = [];
        for ($i = 0, $n = (int) (($hours * 3600) / $step); $i < $n; $i++) {
            if ($i % max(1, (int) round($every / $step)) === 0) {
                $run[] = $simulation->now();
            }
            $simulation->advance($step);
        }

        return $run;
    }

    private static function last(Simulation $simulation, float $hours): Moment
    {
        for ($i = 0; $i < $hours * 180; $i++) {
            $simulation->advance(20.0);
        }

        return $simulation->now();
    }

    /**
     * @param  list<Moment>  $run
     * @return list<string>
     */
    private static function changes(array $run): array
    {
        $modes = [];
        foreach ($run as $moment) {
            if (end($modes) !== $moment->mode->value) {
                $modes[] = $moment->mode->value;
            }
        }

        return $modes;
    }
}
