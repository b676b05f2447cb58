<?php

declare(strict_types=1);

namespace Tests\Core\Twin\Ice;

use Metrum\Installation\Circuit;
use Metrum\Knowledge\Cause;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\Water;
use Metrum\Twin\Ice\IceCycle;
use Metrum\Twin\Ice\IceDisorder;
use Metrum\Twin\Ice\IceMachine;
use Metrum\Twin\Ice\IceSizing;
use Metrum\Twin\Ice\IceWeather;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A batch ice machine through freeze and harvest: by its rated points, by weather and water, by what is wrong. */
final class IceCycleTest extends TestCase
{
    private const DESIGN = [
        'ice_per_day_kg' => 400,
        'ice_per_day_hot_kg' => 335,
        'ice_per_cycle_kg' => 4.0,
        'condenser_split_k' => 13,
        'superheat_k' => 4,
        'subcooling_k' => 4,
    ];

    /** @param  array<string, mixed>  $more */
    private static function circuit(array $more = []): Circuit
    {
        return Circuit::fromWords($more + [
            'kind' => 'ice_machine',
            'ice' => 'batch',
            'refrigerant' => 'R-404A',
            'metering' => 'txv',
            'condenser' => 'air_indoor',
            'head_pressure_control' => 'fan_cycling',
            'receiver' => true,
        ], self::DESIGN);
    }

    private static function machine(): IceMachine
    {
        return IceSizing::of(self::circuit())->machine();
    }

    private static function cycle(IceMachine $machine, float $air, float $water): IceCycle
    {
        $sink = Celsius::ZERO + $air;
        $cycle = IceCycle::of($machine, new IceWeather($sink, Celsius::ZERO + $water, $sink));
        self::assertNotNull($cycle);

        return $cycle;
    }

    private static function suction(IceCycle $cycle, float $at): float
    {
        return $cycle->readingsAt($at)[Reading::SuctionPressure->value];
    }

    public function test_it_makes_what_it_is_rated_for_at_both_points(): void
    {
        $machine = self::machine();

        self::assertEqualsWithDelta(400.0, self::cycle($machine, 21, 10)->perDay(), 4.0);
        self::assertEqualsWithDelta(335.0, self::cycle($machine, 32, 21)->perDay(), 5.0);
        self::assertEqualsWithDelta(4.0, self::cycle($machine, 21, 10)->ice, 0.1);
    }

    public function test_on_water_the_condenser_meets_the_inlet_water(): void
    {
        $circuit = self::circuit(['condenser' => 'water', 'head_pressure_control' => 'water_valve']);
        $machine = IceSizing::of($circuit)->machine();
        foreach ([false, true] as $hot) {
            $cycle = IceCycle::of($machine, IceSizing::ratedWeather($circuit, $hot));

            self::assertNotNull($cycle);
            self::assertEqualsWithDelta($hot ? 335.0 : 400.0, $cycle->perDay(), 8.0);
        }
    }

    public function test_the_heat_of_a_freeze_is_what_water_and_ice_took(): void
    {
        $machine = self::machine();
        $cycle = self::cycle($machine, 21, 15);
        $drawn = 0.0;
        foreach ($cycle->way as $place) {
            $drawn += $machine->does(IceMachine::RATED) * $cycle->course->cooling($place) * IceCycle::STEP;
        }
        $warmth = $machine->plate->sump() * Water::WARMTH * ($cycle->sump[0] - Celsius::ZERO);
        $taken = $cycle->ice * Water::LATENT + $warmth;

        // The plate, the air around and the ice below freezing take the rest: within an eighth.
        self::assertGreaterThan($taken, $drawn);
        self::assertLessThan(1.125 * $taken, $drawn);
    }

    public function test_suction_falls_through_the_freeze_and_the_sump_cools_down_first(): void
    {
        $cycle = self::cycle(self::machine(), 24, 15);

        self::assertGreaterThan(self::suction($cycle, 300.0), self::suction($cycle, 60.0));
        self::assertGreaterThan(self::suction($cycle, $cycle->last()), self::suction($cycle, 300.0));
        self::assertGreaterThan(Celsius::ZERO + 10.0, $cycle->sumpAt(0.0));
        self::assertEqualsWithDelta(Celsius::ZERO, $cycle->sumpAt($cycle->freeze / 2), 0.2);
    }

    public function test_warm_air_and_warm_water_make_less_ice_and_a_warm_room_a_shorter_harvest(): void
    {
        $machine = self::machine();
        $usual = self::cycle($machine, 21, 10);

        self::assertLessThan($usual->perDay(), self::cycle($machine, 32, 10)->perDay());
        self::assertLessThan($usual->perDay(), self::cycle($machine, 21, 21)->perDay());
        self::assertLessThan($usual->harvest, self::cycle($machine, 32, 10)->harvest);
        self::assertGreaterThan($usual->harvest, self::cycle($machine, 8, 10)->harvest);
    }

    /**
     * What each fault does to freeze time, harvest time, ice of a cycle, water of a cycle, suction at the end and head:
     * 1 more, -1 less, 0 as it was.
     *
     * @return iterable<string, array{Fault, ?Cause, array<string, int>}>
     */
    public static function faults(): iterable
    {
        yield 'scale' => [Fault::PlateScaled, null, ['freeze' => 1, 'harvest' => 1, 'ice' => 0, 'suction' => -1]];
        yield 'too thick' => [
            Fault::IceThicknessWrong,
            Cause::TooThick,
            ['freeze' => 1, 'ice' => 1, 'suction' => -1],
        ];
        yield 'too thin' => [Fault::IceThicknessWrong, Cause::TooThin, ['freeze' => -1, 'ice' => -1, 'suction' => 1]];
        yield 'inlet leaks' => [
            Fault::WaterFeedFault,
            Cause::InletLeaks,
            ['freeze' => 1, 'harvest' => 0, 'ice' => 0, 'water' => 1, 'suction' => 0],
        ];
        yield 'water short' => [Fault::WaterFeedFault, Cause::SupplyLow, ['freeze' => -1, 'ice' => -1, 'water' => -1]];
        yield 'dump leaks' => [Fault::WaterFeedFault, Cause::DumpLeaks, ['ice' => -1]];
        yield 'pump weak' => [Fault::WaterFeedFault, Cause::PumpWeak, ['ice' => -1, 'suction' => -1]];
        yield 'distributor' => [Fault::WaterFeedFault, Cause::Distribution, ['ice' => -1, 'suction' => -1]];
        yield 'hot gas valve' => [
            Fault::HarvestFault,
            Cause::HotGasValve,
            ['freeze' => 0, 'harvest' => 1, 'ice' => 0, 'suction' => 0],
        ];
        yield 'head low' => [Fault::HarvestFault, Cause::HeadLow, ['harvest' => 1, 'head' => -1]];
        yield 'ends early' => [Fault::HarvestFault, Cause::EndsEarly, ['freeze' => -1, 'harvest' => -1, 'ice' => -1]];
        yield 'short of refrigerant' => [Fault::Undercharge, null, ['ice' => -1, 'suction' => -1, 'head' => -1]];
        yield 'valve plugged' => [Fault::ValveUnderfeeding, Cause::ScreenPlugged, ['ice' => -1, 'suction' => -1]];
        yield 'compressor worn' => [Fault::CompressorInefficient, null, ['freeze' => 1, 'suction' => 1, 'head' => -1]];
        yield 'hot gas leaks' => [Fault::HotGasLeaking, null, ['freeze' => 1, 'suction' => 1]];
        yield 'condenser dirty' => [Fault::CondenserAirflowLow, null, ['freeze' => 1, 'head' => 1]];
    }

    /** @param  array<string, int>  $ways */
    #[DataProvider('faults')]
    public function test_a_fault_shows_where_the_trade_looks_for_it(Fault $fault, ?Cause $cause, array $ways): void
    {
        $machine = self::machine();
        $before = self::shown(self::cycle($machine, 24, 14));
        $after = self::shown(self::cycle(IceDisorder::in($machine, $fault, 0.8, $cause), 24, 14));
        foreach ($ways as $name => $way) {
            $moved = $after[$name] / $before[$name] - 1;
            $said = sprintf('%s by %.1f %%', $name, 100 * $moved);
            match ($way) {
                1 => self::assertGreaterThan(0.02, $moved, $said),
                -1 => self::assertLessThan(-0.02, $moved, $said),
                default => self::assertEqualsWithDelta(0.0, $moved, 0.02, $said),
            };
        }
    }

    /** @return array<string, float> */
    private static function shown(IceCycle $cycle): array
    {
        $end = $cycle->readingsAt($cycle->last());

        return [
            'freeze' => $cycle->freeze,
            'harvest' => $cycle->harvest,
            'ice' => $cycle->ice,
            'water' => $cycle->water,
            'suction' => $end[Reading::SuctionPressure->value] + 101325.0,
            'head' => $end[Reading::DischargePressure->value] + 101325.0,
        ];
    }

    public function test_the_further_it_has_gone_the_less_ice_it_makes(): void
    {
        $machine = self::machine();
        $before = INF;
        foreach ([0.0, 0.3, 0.6, 0.9] as $severity) {
            $made = self::cycle(IceDisorder::in($machine, Fault::PlateScaled, $severity), 24, 14)->perDay();

            self::assertLessThan($before, $made);
            $before = $made;
        }
    }
}
