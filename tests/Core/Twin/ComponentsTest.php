<?php

declare(strict_types=1);

namespace Tests\Core\Twin;

use Metrum\Installation\HeadPressureControl;
use Metrum\Installation\Metering;
use Metrum\Installation\UsualCompressor;
use Metrum\Twin\AirSide;
use Metrum\Twin\Compressor;
use Metrum\Twin\Feed;
use Metrum\Twin\HeadControl;
use PHPUnit\Framework\TestCase;

/** Each part against figures worked by hand. */
final class ComponentsTest extends TestCase
{
    public function test_volumetric_efficiency_falls_with_ratio(): void
    {
        // 1 − 0.045 (4^(1/1.12) − 1) − 0.02 · 3 = 1 − 0.045 · 2.448 − 0.06
        self::assertEqualsWithDelta(0.83, Compressor::volumetricEfficiency(4.0), 0.001);
        self::assertEqualsWithDelta(1.0, Compressor::volumetricEfficiency(1.0), 1e-12);
        $before = 1.1;
        for ($ratio = 1.0; $ratio < 9; $ratio += 0.5) {
            $now = Compressor::volumetricEfficiency($ratio);
            self::assertLessThan($before, $now);
            $before = $now;
        }
    }

    public function test_gas_delivered_is_swept_volume_by_density(): void
    {
        $compressor = new Compressor(0.004);
        self::assertEqualsWithDelta(0.004 * 0.83 * 17.0, $compressor->massFlow(17.0, 4.0), 1e-4);
        self::assertEqualsWithDelta(
            0.004 * 0.83 * 17.0 * 0.7,
            $compressor->worn(0.4)->massFlow(17.0, 4.0),
            1e-4,
        );
    }

    public function test_isentropic_efficiency_is_best_in_the_middle(): void
    {
        self::assertEqualsWithDelta(0.67, UsualCompressor::isentropicEfficiency(3.5), 1e-9);
        // 0.67 − 0.0035 · 3.5²
        self::assertEqualsWithDelta(0.627, UsualCompressor::isentropicEfficiency(7.0), 0.001);
        self::assertLessThan(0.67, UsualCompressor::isentropicEfficiency(1.5));
        self::assertGreaterThanOrEqual(0.35, UsualCompressor::isentropicEfficiency(30.0));
    }

    public function test_a_worn_machine_heats_what_it_still_delivers(): void
    {
        $sound = new Compressor(0.004);
        self::assertEqualsWithDelta(40e3 / 0.67, $sound->work(40e3, 3.5), 1.0);
        self::assertGreaterThan($sound->work(40e3, 3.5), $sound->worn(0.5)->work(40e3, 3.5));
        // Yet it draws less in all: flow falls faster than work for each kilogram rises.
        self::assertLessThan(
            $sound->massFlow(17, 3.5) * $sound->work(40e3, 3.5),
            $sound->worn(0.5)->massFlow(17, 3.5) * $sound->worn(0.5)->work(40e3, 3.5),
        );
    }

    public function test_current_by_power_voltage_and_power_factor(): void
    {
        // 4 kW at full load, 400 V, three phases: 4000 ÷ (0.85 · 400 · √3)
        self::assertEqualsWithDelta(6.79, (new Compressor(0.004))->current(4000.0, 1.0), 0.01);
        self::assertEqualsWithDelta(
            500 / (0.85 * 230),
            (new Compressor(0.001, volts: 230, phases: 1))->current(500.0, 1.0),
            0.01,
        );
        self::assertGreaterThan(
            (new Compressor(0.004))->current(2000.0, 1.0),
            (new Compressor(0.004))->current(2000.0, 0.3),
            'a lightly loaded motor has a poor power factor',
        );
    }

    public function test_the_clamp_reads_a_little_less_than_the_gas(): void
    {
        self::assertEqualsWithDelta(363.15 - 0.08 * 65, UsualCompressor::pipeTemperature(363.15, 298.15), 1e-9);
    }

    public function test_effectiveness_by_transfer_units(): void
    {
        // NTU 1: 1000 W/K · (1 − e⁻¹)
        self::assertEqualsWithDelta(632.1, (new AirSide(1000.0, 1000.0))->conductance(), 0.1);
        self::assertEqualsWithDelta(393.5, (new AirSide(1000.0, 1000.0))->conductance(0.5), 0.1);
        $half = (new AirSide(1000.0, 1000.0))->with(0.5);
        self::assertEqualsWithDelta(500.0, $half->capacity, 1e-9);
        self::assertEqualsWithDelta(707.1, $half->transfer, 0.1);
        self::assertLessThan(632.1, $half->conductance());
    }

    public function test_a_thermostatic_valve_opens_with_superheat(): void
    {
        $valve = new Feed(Metering::Txv, 1e-6, 3.0, 4.0);
        self::assertEqualsWithDelta(0.5, $valve->opening(5.0), 1e-9);
        self::assertSame(1.0, $valve->opening(12.0));
        self::assertLessThan(0.005, $valve->opening(-5.0));
        self::assertLessThan(
            $valve->opening(5.0),
            $valve->turned(1.0)->opening(5.0),
            'in is more superheat, so less open at the same',
        );
        self::assertSame(0.4, $valve->heldOpen(3.0, 0.4)->opening(-10.0));
        self::assertSame(1.0, (new Feed(Metering::Capillary, 1e-6, 0.0, 1.0))->opening(-5.0));
        $before = -1.0;
        for ($superheat = -10.0; $superheat < 12; $superheat += 0.1) {
            self::assertGreaterThanOrEqual($before, $valve->opening($superheat));
            $before = $valve->opening($superheat);
        }
    }

    public function test_flow_goes_with_the_root_of_density_and_difference(): void
    {
        $valve = new Feed(Metering::Txv, 1e-6, 3.0, 4.0);
        self::assertEqualsWithDelta(1e-6 * 0.5 * sqrt(1000 * 1e6), $valve->massFlow(0.5, 1000.0, 1e6), 1e-9);
        self::assertEqualsWithDelta(
            2.0,
            $valve->massFlow(0.5, 1000.0, 4e5) / $valve->massFlow(0.5, 1000.0, 1e5),
            1e-9,
        );
        self::assertEqualsWithDelta(
            0.25 * 1e-6 * 0.5 * sqrt(1e9),
            $valve->narrowed(0.25)->massFlow(0.5, 1000.0, 1e6),
            1e-9,
        );
    }

    public function test_head_control_acts_below_its_setting_only(): void
    {
        foreach ([HeadPressureControl::FanSpeed, HeadPressureControl::FanCycling] as $kind) {
            $fans = new HeadControl($kind, 303.15);
            self::assertSame(1.0, $fans->air(310.0));
            self::assertLessThan(1.0, $fans->air(300.0));
            self::assertGreaterThanOrEqual(0.06, $fans->air(260.0));
            self::assertSame(0.0, $fans->flooded(290.0));
        }
        $valve = new HeadControl(HeadPressureControl::FloodingValve, 303.15);
        self::assertSame(0.0, $valve->flooded(310.0));
        self::assertEqualsWithDelta(HeadControl::MOST_FLOODED, $valve->flooded(295.0), 1e-9);
        self::assertSame(1.0, $valve->air(290.0));
        self::assertSame(0.0, $valve->bypassed(0.0, 0.2, 0.0));
        self::assertGreaterThan(0.0, $valve->bypassed(0.5, 0.2, 0.0));
        self::assertGreaterThan(
            $valve->bypassed(0.5, 0.2, 0.0),
            $valve->bypassed(0.5, 0.2, 0.2),
            'without a seal more gas goes past',
        );
    }
}
