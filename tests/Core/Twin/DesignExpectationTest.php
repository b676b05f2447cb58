<?php

declare(strict_types=1);

namespace Tests\Core\Twin;

use Metrum\Findings\Sign;
use Metrum\Knowledge\HouseRules;
use Metrum\Twin\DesignExpectation;
use PHPUnit\Framework\TestCase;
use Tests\Core\Visits;

/** What is expected from design values and house rules alone. */
final class DesignExpectationTest extends TestCase
{
    public function test_box_less_td_and_ambient_plus_split(): void
    {
        $expectation = new DesignExpectation(Visits::cooler(), new HouseRules());
        self::assertEqualsWithDelta(275.65 - 8.5, $expectation->evaporating()?->value, 0.3);
        self::assertEqualsWithDelta(298.15 + 12, $expectation->condensing()?->value, 0.3);
    }

    public function test_a_warmer_box_evaporates_warmer(): void
    {
        $before = -INF;
        foreach ([-2.0, 2.0, 6.0, 12.0] as $box) {
            $now = (new DesignExpectation(
                Visits::cooler(['box_temperature_c' => $box]),
                new HouseRules(),
            ))->evaporating()?->value;
            self::assertGreaterThan($before, $now);
            $before = $now;
        }
    }

    public function test_in_the_cold_head_control_holds_the_head(): void
    {
        $held = static fn (string $control, float $ambient): ?float => (new DesignExpectation(
            Visits::cooler(
                ['ambient_temperature_c' => $ambient],
                ['system' => ['head_pressure_control' => $control] + Visits::COOLER['system']],
            ),
            new HouseRules(),
        ))->condensing()?->value;
        self::assertEqualsWithDelta(273.15 + 30, $held('flooding_valve', -10), 0.5);
        self::assertEqualsWithDelta(273.15 + 2, $held('none', -10), 0.5);
        self::assertEqualsWithDelta($held('none', 30), $held('flooding_valve', 30), 1e-6);
        self::assertTrue(
            (new DesignExpectation(
                Visits::cooler(['ambient_temperature_c' => -10]),
                new HouseRules(),
            ))->isCold(),
        );
        self::assertFalse(
            (new DesignExpectation(
                Visits::cooler(['ambient_temperature_c' => 30]),
                new HouseRules(),
            ))->isCold(),
        );
    }

    public function test_without_air_temperatures_nothing_is_expected_of_that_side(): void
    {
        $expectation = new DesignExpectation(
            Visits::of(['readings' => ['suction_pressure_kpa' => 300]]),
            new HouseRules(),
        );
        self::assertNull($expectation->evaporating());
        self::assertNull($expectation->condensing());
        self::assertSame([], $expectation->run());
        // The set point stands in for the box, as long as nobody has read it.
        $set = new DesignExpectation(Visits::of(['design' => ['box_set_point_c' => 3]]), new HouseRules());
        self::assertSame(['coil_in', 'coil_out', 'bulb', 'suction_pipe'], array_keys($set->run()));
    }

    public function test_the_expected_run_falls_and_rises_as_refrigerant_does(): void
    {
        $run = (new DesignExpectation(Visits::cooler(), new HouseRules()))->run();
        self::assertGreaterThan($run['condenser_in']->value, $run['discharge']->value);
        self::assertGreaterThan(
            $run['condenser_out']->value,
            $run['condenser_in']->value,
            'a blend slopes through the condenser by its glide',
        );
        self::assertGreaterThan($run['valve_inlet']->value, $run['condenser_out']->value);
        self::assertGreaterThan($run['coil_in']->value, $run['coil_out']->value, 'and climbs through the coil');
        self::assertGreaterThan($run['bulb']->value, $run['suction_pipe']->value);
        foreach ($run as $place => $expected) {
            self::assertGreaterThan(0.5, $expected->deviation, $place);
        }
    }

    public function test_design_values_narrow_what_is_expected(): void
    {
        $known = (new DesignExpectation(Visits::cooler(), new HouseRules()))->healthy(Sign::Split);
        $unknown = (new DesignExpectation(
            Visits::of([
                'system' => Visits::COOLER['system'],
                'state' => 'running_settled',
                'readings' => Visits::HEALTHY,
            ]),
            new HouseRules(),
        ))->healthy(Sign::Split);
        self::assertLessThan($unknown?->deviation, $known?->deviation);
    }
}
