<?php

declare(strict_types=1);

namespace Tests\Core\Work\Defrost;

use Metrum\Findings\RackFindings;
use Metrum\Installation\DefrostKind;
use Metrum\Installation\PartId;
use Metrum\Learning\Rack\RandomRacks;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Twin\Dice;
use Metrum\Twin\Rack\RackTwin;
use Metrum\Work\Defrost\DefrostBreach;
use Metrum\Work\Defrost\DefrostCheck;
use Metrum\Work\Defrost\DefrostNeed;
use Metrum\Work\Defrost\DefrostNeeds;
use Metrum\Work\Defrost\DefrostPlan;
use Metrum\Work\Defrost\DefrostPlanner;
use Metrum\Work\Defrost\DefrostRules;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Racks;

/** What coils need, whether a plan keeps the rules, and plans that do. */
final class DefrostPlannerTest extends TestCase
{
    /** Plants of which the twin says the needs, and plants whose needs are drawn. */
    private const TWINS = 6;

    private const PLANTS = 200;

    public function test_frost_is_what_the_stores_air_brings_to_coils_below_freezing(): void
    {
        $found = Racks::of();
        $twin = RackTwin::of($found);
        $usual = (new DefrostNeeds($twin, Racks::store(25, 22, 50)))->of($found->plant);
        $damp = (new DefrostNeeds($twin, Racks::store(25, 24, 62)))->of($found->plant);

        // An open multideck of 2.6 kW takes up 10 to 18 kg of water a day in an ordinary store.
        self::assertGreaterThan(3 * 8.0, $usual['circuit 1']->frost);
        self::assertLessThan(3 * 20.0, $usual['circuit 1']->frost);
        self::assertGreaterThan($usual['circuit 1']->frost, $damp['circuit 1']->frost);
        self::assertGreaterThanOrEqual($usual['circuit 1']->count, $damp['circuit 1']->count);
        self::assertSame(DefrostKind::HotGas, $usual['circuit 4']->kind);
        self::assertLessThan($usual['circuit 1']->minutes, $usual['circuit 4']->minutes, 'gas melts faster than air');
        self::assertSame(0.0, $usual['circuit 1']->energy, 'air takes no heater');
        foreach ($usual as $need) {
            self::assertGreaterThanOrEqual(1, $need->count);
            self::assertLessThanOrEqual(60, $need->minutes);
            self::assertSame(0, $need->minutes % DefrostPlan::STEP);
        }
    }

    public function test_night_covers_keep_frost_away(): void
    {
        $found = Racks::of();
        $twin = RackTwin::of($found);
        $store = Racks::store(25);
        $open = (new DefrostNeeds($twin, $store))->of($found->plant)['circuit 1']->frost;
        $covered = new \Metrum\Twin\Rack\Store($store->ambient, $store->air, false, true);

        self::assertLessThan(0.6 * $open, (new DefrostNeeds($twin, $covered))->of($found->plant)['circuit 1']->frost);
    }

    public function test_200_random_plants_are_planned_without_a_rule_broken(): void
    {
        $dice = new Dice(77);
        $whole = 0;
        for ($number = 0; $number < self::PLANTS; $number++) {
            $needs = self::drawn($dice, (int) $dice->between(4.0, 24.99));
            $rated = 1.15 * array_sum(array_map(static fn (DefrostNeed $one): float => $one->rated, $needs));
            $rules = DefrostRules::usual(count($needs));
            $rules = $dice->chance(0.5) ? $rules->keepingFree([[600, 660], [1020, 1110]]) : $rules;
            $check = new DefrostCheck($needs, $rules, $rated, $dice->between(0.2, 0.8));
            $plan = (new DefrostPlanner($check))->proposed();
            $broken = array_filter(
                $check->of($plan),
                static fn (DefrostBreach $one): bool => $one->rule !== DefrostBreach::TOO_FEW,
            );
            self::assertSame([], array_values($broken), "plant $number");
            $whole += count($plan->starts) === count($needs) ? 1 : 0;
        }
        self::assertGreaterThan(0.9 * self::PLANTS, $whole, 'and nearly all of them whole');
    }

    public function test_what_can_stand_apart_stands_apart(): void
    {
        $check = self::three();
        $running = (new DefrostPlanner($check))->proposed()->running($check->needs);

        self::assertSame(1, max(array_map(count(...), $running)), 'three circuits need not be in defrost together');
    }

    public function test_twins_of_random_racks_are_planned_too(): void
    {
        $dice = new Dice(3);
        for ($number = 0; $number < self::TWINS; $number++) {
            $plant = (new RandomRacks($dice))->plant();
            try {
                $twin = RackTwin::of(new RackFindings($plant));
            } catch (OutsideTable) {
                continue;
            }
            $store = Racks::store(24);
            $needs = (new DefrostNeeds($twin, $store))->of($plant);
            $rated = array_sum(array_map(static fn ($one): float => $one->rated(), $twin->machine->branches));
            $level = $twin->at($store)->level ?? 0.5;
            $check = new DefrostCheck($needs, DefrostRules::usual(count($plant->branches)), $rated, $level);
            self::assertSame([], $check->of((new DefrostPlanner($check))->proposed()), "plant $number");
        }
    }

    /** @return iterable<string, array{array<string, list<int>>, string}> */
    public static function broken(): iterable
    {
        $even = ['circuit 1' => [0, 360, 720, 1080], 'circuit 2' => [180, 900], 'circuit 3' => [300]];
        yield 'three at once' => [['circuit 2' => [0, 720], 'circuit 3' => [10]] + $even, DefrostBreach::TOO_MANY];
        yield 'in busy hours' => [['circuit 3' => [605]] + $even, DefrostBreach::BUSY];
        yield 'too few of them' => [['circuit 1' => [0, 720]] + $even, DefrostBreach::TOO_FEW];
        yield 'all in the night' => [['circuit 1' => [0, 60, 120, 200]] + $even, DefrostBreach::UNEVEN];
        yield 'hot gas without enough that cools' => [
            ['circuit 2' => [310, 1000]] + $even,
            DefrostBreach::NO_GAS,
        ];
        yield 'the receiver too full' => [['circuit 2' => [10, 730]] + $even, DefrostBreach::LEVEL];
    }

    /** @param  array<string, list<int>>  $starts */
    #[DataProvider('broken')]
    public function test_each_rule_acts(array $starts, string $rule): void
    {
        $check = self::three();
        $even = new DefrostPlan(['circuit 1' => [0, 360, 720, 1080], 'circuit 2' => [180, 900], 'circuit 3' => [300]]);
        self::assertSame([], $check->of($even));

        $rules = array_map(static fn (DefrostBreach $one): string => $one->rule, $check->of(new DefrostPlan($starts)));
        self::assertContains($rule, $rules);
    }

    public function test_a_defrost_over_midnight_goes_on_in_the_morning(): void
    {
        $running = (new DefrostPlan(['circuit 3' => [1430]]))->running(self::three()->needs);

        self::assertSame(['circuit 3'], $running[1430]);
        self::assertSame(['circuit 3'], $running[5]);
        self::assertSame([], $running[20]);
    }

    /** Gas has no heat to give where the head falls; air and heaters do not mind. */
    public function test_hot_gas_wants_the_head_held(): void
    {
        $need = static fn (DefrostKind $kind): DefrostNeed => new DefrostNeed(
            PartId::circuit(),
            $kind,
            5.0,
            1,
            20,
            0.0,
            3e3,
            0.0,
            -4.0,
        );
        $rules = (new DefrostRules(2))->holding(301.0);
        $broken = static fn (DefrostKind $kind, float $condensing): array => (new DefrostCheck(
            ['circuit 1' => $need($kind)],
            $rules,
            30e3,
            0.5,
            $condensing,
        ))->at(0, ['circuit 1']);

        self::assertSame([DefrostBreach::HEAD], $broken(DefrostKind::HotGas, 303.0));
        self::assertSame([], $broken(DefrostKind::HotGas, 306.0));
        self::assertSame([], $broken(DefrostKind::Electric, 303.0));
        self::assertSame([], $broken(DefrostKind::HotGas, 299.0), 'what the weather leaves is not its doing');
    }

    /** Three circuits, the last by hot gas; two at once at most, nothing from 10 to 11 o'clock. */
    private static function three(): DefrostCheck
    {
        $need = static fn (int $circuit, DefrostKind $kind, int $count, float $rated): DefrostNeed => new DefrostNeed(
            PartId::circuit($circuit),
            $kind,
            5.0,
            $count,
            25,
            0.0,
            $rated,
            0.08,
        );

        return new DefrostCheck(
            [
                'circuit 1' => $need(1, DefrostKind::OffCycle, 4, 6e3),
                'circuit 2' => $need(2, DefrostKind::OffCycle, 2, 5e3),
                'circuit 3' => $need(3, DefrostKind::HotGas, 1, 3e3),
            ],
            (new DefrostRules(2))->keepingFree([[600, 660]]),
            16e3,
            0.82,
        );
    }

    /** @return array<string, DefrostNeed> */
    private static function drawn(Dice $dice, int $circuits): array
    {
        $needs = [];
        for ($i = 1; $i <= $circuits; $i++) {
            $kind = $dice->one([DefrostKind::OffCycle, DefrostKind::Electric, DefrostKind::HotGas]);
            $needs["circuit $i"] = new DefrostNeed(
                PartId::circuit($i),
                $kind,
                $dice->between(2.0, 40.0),
                (int) $dice->between(1.0, 6.99),
                5 * (int) $dice->between(3.0, $kind === DefrostKind::HotGas ? 6.0 : 9.0),
                0.0,
                1e3 * $dice->between(1.5, 9.0),
                $dice->between(0.0, 0.03),
            );
        }

        return $needs;
    }
}
