<?php

declare(strict_types=1);

namespace Tests\Core\Twin;

use Metrum\Installation\Circuit;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Wanted;
use Metrum\Quantity\Units;
use Metrum\Twin\ChargeConflict;
use Metrum\Twin\ChargeCurve;
use Metrum\Twin\ConflictKind;
use Metrum\Twin\Filling;
use Metrum\Twin\Machine;
use Metrum\Twin\PlantState;
use Metrum\Twin\Sizing;
use Metrum\Twin\SteadyState;
use Metrum\Twin\Surroundings;
use Metrum\Twin\WinterCurve;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a plant is filled with, where its refrigerant is, and what more or less of it does. */
final class FillingTest extends TestCase
{
    private const CABINET = [
        'kind' => 'reach_in_cooler',
        'refrigerant' => 'R-134a',
        'metering' => 'txv',
        'condenser' => 'air_indoor',
        'head_pressure_control' => 'none',
        'receiver' => false,
    ];

    private const STORE = [
        'kind' => 'walk_in_freezer',
        'refrigerant' => 'R-404A',
        'metering' => 'txv',
        'condenser' => 'air_outdoor',
        'head_pressure_control' => 'flooding_valve',
        'receiver' => true,
    ];

    private const STORE_DESIGN = [
        'coldest_ambient_c' => -14,
        'receiver_volume_l' => 24,
        'condenser_volume_l' => 7,
        'rated_current_a' => 15,
    ];

    /** @return iterable<string, array{array<string, mixed>, array<string, float>}> */
    public static function plates(): iterable
    {
        yield 'a cabinet with a little more than usual' => [self::CABINET, ['nameplate_charge_kg' => 0.32]];
        yield 'a cabinet with a little less' => [self::CABINET, ['nameplate_charge_kg' => 0.2]];
        yield 'a store whose receiver is known' => [self::STORE, self::STORE_DESIGN + ['nameplate_charge_kg' => 16]];
        yield 'a store of which nothing is known' => [self::STORE, ['nameplate_charge_kg' => 16]];
    }

    /**
     * @param  array<string, mixed>  $system
     * @param  array<string, float>  $design
     */
    #[DataProvider('plates')]
    public function test_the_plate_is_what_goes_in_and_the_rest_is_as_planned(array $system, array $design): void
    {
        $machine = self::machine($system, $design);

        self::assertEqualsWithDelta($design['nameplate_charge_kg'], $machine->charge, 0.01 * $machine->charge);
        self::assertSame([], self::conflicts($machine));
        $point = new Surroundings($machine->design->ambient, $machine->design->box);
        $state = (new SteadyState($machine, $point))->find();
        self::assertTrue($state->runs());
        self::assertEqualsWithDelta($machine->design->cooling, $state->cooling, 0.01 * $state->cooling);
    }

    public function test_a_plate_that_cannot_be_is_named_with_what_it_is_off_by(): void
    {
        $few = self::machine(self::STORE, self::STORE_DESIGN + ['nameplate_charge_kg' => 2.0]);
        [$conflict] = self::conflicts($few);
        self::assertSame(ConflictKind::PlateTooLittle, $conflict->kind);
        self::assertEqualsWithDelta($few->charge - 2.0, $conflict->off(), 1e-6);
        self::assertStringContainsString('Nameplate charge', $conflict->sentence(new Units()));

        $many = self::machine(self::STORE, ['nameplate_charge_kg' => 90.0, 'receiver_volume_l' => 12]);
        $kinds = array_map(static fn (ChargeConflict $one): ConflictKind => $one->kind, self::conflicts($many));
        self::assertContains(ConflictKind::PlateTooMuch, $kinds);
        self::assertContains(ConflictKind::ReceiverTooSmall, $kinds);
    }

    public function test_a_receiver_that_cannot_hold_the_plate_pumped_down_is_named(): void
    {
        $plate = ['nameplate_charge_kg' => 16];
        $machine = self::machine(self::STORE, ['receiver_volume_l' => 18] + $plate + self::STORE_DESIGN);
        [$conflict] = self::conflicts($machine);

        self::assertSame(ConflictKind::ReceiverTooSmall, $conflict->kind);
        // 80 % of 18 l of R-404A, about 1010 kg/m³ at 32 °C.
        self::assertEqualsWithDelta(0.8 * 0.018 * 1010, $conflict->possible, 0.3);
        self::assertSame([], self::conflicts(self::machine(self::STORE, self::STORE_DESIGN + $plate)));
    }

    public function test_a_long_liquid_line_holds_as_much_as_it_is_long_and_wide(): void
    {
        $short = self::machine(self::CABINET, ['liquid_line_length_m' => 2, 'liquid_line_bore_mm' => 8]);
        $long = self::machine(self::CABINET, ['liquid_line_length_m' => 22, 'liquid_line_bore_mm' => 8]);

        self::assertEqualsWithDelta(20 * M_PI / 4 * 0.008 ** 2, $long->lineVolume - $short->lineVolume, 1e-9);
        // Twenty metres of 8 mm are a litre: about 1.15 kg of R-134a.
        self::assertEqualsWithDelta(1.15, $long->charge - $short->charge, 0.06);
    }

    public function test_a_receiver_buffers_and_gas_comes_below_it_head_above(): void
    {
        $curve = ChargeCurve::of(...self::planned(self::machine(self::STORE, self::STORE_DESIGN)));
        $design = $curve->machine->design;
        $buffering = $starved = $filled = [];
        foreach ($curve->points as [$charge, $state]) {
            if (! $state->runs()) {
                continue;
            }
            match (true) {
                $charge > 1.05 * $design->summerCharge && $charge < 0.98 * $design->full => $buffering[] = $state,
                $charge < 0.6 * $design->summerCharge => $starved[] = $state,
                $charge > 1.02 * $design->full => $filled[] = $state,
                default => null,
            };
        }
        [$first, $last] = [$buffering[0], end($buffering)];
        assert($last instanceof PlantState);
        self::assertGreaterThan(0.4, $last->level - $first->level, 'the level moves');
        self::assertEqualsWithDelta(self::head($first), self::head($last), 2e3, 'No second fault');
        self::assertEqualsWithDelta($first->cooling, $last->cooling, 0.01 * $first->cooling);
        self::assertGreaterThan(0.01, $starved[0]->valveQuality, 'gas in the liquid line below it');
        self::assertLessThan($first->cooling, $starved[0]->cooling);
        self::assertGreaterThan(self::head($last) + 1e4, self::head(end($filled)), 'head above it');
    }

    public function test_a_plant_is_followed_to_every_charge_at_which_it_runs(): void
    {
        $machine = self::machine(self::CABINET, []);
        $around = new Surroundings($machine->design->ambient + 3, $machine->design->box + 2);
        $running = 0;
        foreach ([0.55, 0.7, 0.85, 1.0, 1.2, 1.4] as $share) {
            $state = (new SteadyState($machine->with(charge: $share * $machine->charge), $around))->find();
            $running += $state->runs() ? 1 : 0;
        }
        self::assertSame(6, $running);
    }

    public function test_the_colder_it_is_the_more_the_condenser_takes_and_the_receiver_gives(): void
    {
        $machine = self::machine(self::STORE, self::STORE_DESIGN);
        $points = WinterCurve::of($machine, $machine->charge, 259.15, $machine->design->ambient);
        $before = null;
        foreach ($points as $point) {
            self::assertTrue($point['runs']);
            if ($before !== null) {
                self::assertLessThanOrEqual($before['condenser'] + 1e-6, $point['condenser']);
                self::assertGreaterThanOrEqual($before['level'] - 1e-6, $point['level']);
            }
            $before = $point;
        }
        self::assertGreaterThan(0.6, $points[0]['condenser']);
        self::assertGreaterThan(4.0, $points[0]['condenser_kg'] - end($points)['condenser_kg']);
    }

    public function test_the_winter_wants_more_than_the_summer_and_only_where_a_valve_floods(): void
    {
        $store = self::machine(self::STORE, self::STORE_DESIGN);
        $extra = (float) WinterCurve::extra($store, 259.15, $store->design->ambient);
        // By hand: 1 − 10 ÷ (30 − −14) of 7 l stand full, less what two-phase flow held there: 3.5 to 6 kg.
        self::assertGreaterThan(3.5, $extra);
        self::assertLessThan(6.0, $extra);
        self::assertGreaterThan((float) WinterCurve::extra($store, 270.15, $store->design->ambient), $extra);
        $fans = self::machine(['head_pressure_control' => 'fan_cycling'] + self::STORE, self::STORE_DESIGN);
        self::assertSame(0.0, WinterCurve::extra($fans, 259.15, $fans->design->ambient));
    }

    public function test_with_the_winter_charge_on_top_the_coldest_day_is_just_sealed(): void
    {
        $store = self::machine(self::STORE, self::STORE_DESIGN);
        $summer = (float) WinterCurve::needed($store, $store->design->ambient);
        $extra = (float) WinterCurve::extra($store, 259.15, $store->design->ambient);
        $sealed = static fn (float $charge): bool => WinterCurve::of($store, $charge, 259.15, 260.15)[0]['sealed'];

        self::assertTrue($sealed($summer + $extra));
        self::assertFalse($sealed($summer), 'the summer\'s charge alone loses it');
    }

    /**
     * @param  array<string, mixed>  $system
     * @param  array<string, float>  $design
     */
    private static function machine(array $system, array $design): Machine
    {
        return (new Sizing(Circuit::fromWords($system, $design)))->machine();
    }

    /** @return array{Machine, Surroundings} */
    private static function planned(Machine $machine): array
    {
        return [$machine, new Surroundings($machine->design->ambient, $machine->design->box)];
    }

    /** @return list<ChargeConflict> */
    private static function conflicts(Machine $machine): array
    {
        $wanted = new Wanted($machine->circuit, new HouseRules());

        return (new Filling($machine->circuit, $wanted))->conflicts($machine);
    }

    private static function head(mixed $state): float
    {
        assert($state instanceof PlantState);

        return $state->readings['discharge_pressure_kpa'];
    }
}
