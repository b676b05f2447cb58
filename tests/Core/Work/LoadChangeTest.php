<?php

declare(strict_types=1);

namespace Tests\Core\Work;

use Metrum\Findings\Findings;
use Metrum\Findings\TwoPipes;
use Metrum\Installation\Circuit;
use Metrum\Quantity\Units;
use Metrum\Work\Desk\LoadChange;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Visits;

/** What two currents with their voltages, and two clamps without a gauge, say; and where they say nothing. */
final class LoadChangeTest extends TestCase
{
    private static function read(float $current, ?float $volts): Findings
    {
        return new Findings(
            Visits::cooler()->circuit,
            readings: ['compressor_current_a' => $current] + ($volts === null ? [] : ['supply_voltage_v' => $volts]),
        );
    }

    /** @return array<string, array{float, ?float, string}> */
    public static function after(): array
    {
        return [
            'more work' => [7.8, 398.0, 'does more work'],
            'less work' => [5.0, 398.0, 'does less work'],
            'the same' => [6.2, 398.0, 'works as before'],
            'the supply moved' => [7.8, 370.0, 'part of it is the supply'],
            'no voltage' => [7.8, null, 'voltage not read on both sides'],
        ];
    }

    #[DataProvider('after')]
    public function test_a_current_tells_of_the_change(float $current, ?float $volts, string $said): void
    {
        $sentence = LoadChange::of(self::read(6.1, 400.0), self::read($current, $volts));

        self::assertStringContainsString($said, (string) $sentence?->in(new Units()));
    }

    public function test_without_a_current_on_both_sides_nothing_is_said(): void
    {
        $before = new Findings(Visits::cooler()->circuit);

        self::assertNull(LoadChange::of($before, self::read(6.0, 400.0)));
        self::assertNull(LoadChange::of(self::read(6.0, 400.0), $before));
    }

    /** @param  array<string, float>  $readings */
    private static function of(string $refrigerant, array $readings): Findings
    {
        $circuit = Circuit::fromWords(['kind' => 'walk_in_cooler', 'refrigerant' => $refrigerant], []);

        return new Findings($circuit, readings: $readings);
    }

    public function test_two_clamps_give_superheat_without_a_glide_and_are_refused_with_one(): void
    {
        $readings = ['coil_inlet_temperature_c' => 265.0, 'suction_temperature_evaporator_c' => 270.5];
        $plain = TwoPipes::of(self::of('R-134a', $readings));
        $blend = TwoPipes::of(self::of('R-448A', $readings));

        self::assertEqualsWithDelta(5.5, $plain?->superheat, 1e-9);
        self::assertNotNull($blend);
        self::assertNull($blend->superheat);
        self::assertGreaterThan(4.0, $blend->glide);
        self::assertNull(TwoPipes::of(Visits::cooler()), 'not read');
    }
}
