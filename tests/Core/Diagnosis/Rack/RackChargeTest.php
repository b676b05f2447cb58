<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Rack;

use Metrum\Diagnosis\Rack\RackCharge;
use Metrum\Diagnosis\Rack\RackExamination;
use PHPUnit\Framework\TestCase;
use Tests\Core\Racks;

/** The charge of a rack by its receiver's level: the mass that is missing, what fits in, what a cold day leaves. */
final class RackChargeTest extends TestCase
{
    public function test_what_is_missing_is_the_level_that_is_missing(): void
    {
        $half = self::charge(['receiver_level_percent' => 30]);
        $more = self::charge(['receiver_level_percent' => 40]);

        // 38 l of receiver: a tenth of it is 3.8 l of liquid, less the gas in its place.
        self::assertEqualsWithDelta(0.1 * $half->whole(), $half->missing() - $more->missing(), 1e-6);
        self::assertEqualsWithDelta(38.0 * 1.0, $half->whole(), 4.5, 'about a kilogram a litre');
        self::assertEqualsWithDelta($half->inPlant() + $half->missing(), $more->inPlant() + $more->missing(), 1e-6);
    }

    public function test_a_level_as_expected_is_neither_short_nor_over(): void
    {
        $expected = self::charge()->expected->value;
        $right = self::charge(['receiver_level_percent' => 100 * $expected]);

        self::assertFalse($right->isShort());
        self::assertFalse($right->isOver());
        self::assertNull($right->next());
        self::assertTrue(self::charge(['receiver_level_percent' => 100 * ($expected - 0.4)])->isShort());
        self::assertTrue(self::charge(['receiver_level_percent' => min(100, 100 * ($expected + 0.45))])->isOver());
    }

    public function test_an_empty_receiver_says_at_least_and_is_filled_in_small_steps(): void
    {
        $empty = self::charge(['receiver_level_percent' => 0]);

        self::assertTrue($empty->isAtLeast());
        self::assertNull($empty->inPlant());
        self::assertLessThanOrEqual(0.1 * $empty->whole() + 0.5, $empty->next());
        $low = self::charge(['receiver_level_percent' => 6]);
        self::assertFalse($low->isAtLeast());
        self::assertLessThan($low->missing(), $low->next(), 'never more than is missing');
    }

    public function test_a_level_that_was_not_read_tells_nothing(): void
    {
        $unread = self::charge();

        self::assertNull($unread->missing());
        self::assertNull($unread->next());
        self::assertNull($unread->room());
        self::assertNull($unread->coldestLevel());
        self::assertNull($unread->winter());
    }

    public function test_room_ends_at_eighty_percent(): void
    {
        self::assertEqualsWithDelta(0.0, self::charge(['receiver_level_percent' => 85])->room(), 1e-9);
        $charge = self::charge(['receiver_level_percent' => 60]);
        self::assertEqualsWithDelta(0.2 * $charge->whole(), $charge->room(), 1e-6);
    }

    /** What is missing today is missing on the coldest day too, and is not told twice. */
    public function test_a_cold_day_takes_what_the_plant_holds_then(): void
    {
        $fans = self::cold('fan_cycling', 50, 50);
        $flooding = self::cold('flooding_valve', 50, 50);
        self::assertLessThan($fans->coldestLevel(), $flooding->coldestLevel(), 'a flooded condenser takes it');
        self::assertEqualsWithDelta(253.15, $flooding->coldest(), 1e-6);
        self::assertSame(0.0, $flooding->winter(), 'a level of half leaves enough');
        $little = self::cold('flooding_valve', 14, 14);
        self::assertGreaterThan(1.0, $little->winter());
        $short = self::cold('flooding_valve', 14, 4);
        self::assertEqualsWithDelta($little->winter(), $short->winter(), 0.6, 'what is missing is told by itself');
    }

    public function test_a_cold_day_may_be_covered_only_once_what_is_missing_went_in(): void
    {
        $short = self::cold('flooding_valve', 50, 2);
        $level = (float) $short->coldestLevel();

        self::assertFalse(RackCharge::covers($level));
        self::assertTrue(RackCharge::covers((float) $short->coldestFilled()));
        self::assertSame(0.0, $short->winter(), 'and nothing on top of that');
    }

    public function test_what_goes_in_is_foretold_at_the_receiver(): void
    {
        $low = self::charge(['receiver_level_percent' => 20]);

        self::assertEqualsWithDelta(0.5, $low->levelWith(0.3 * $low->whole()), 1e-9);
        self::assertEqualsWithDelta(0.1, $low->levelWith(-0.1 * $low->whole()), 1e-9);
        self::assertNull(self::charge(['receiver_level_percent' => 0])->levelWith(2.0), 'an empty one may stay so');
        self::assertNull(self::charge()->levelWith(2.0));
    }

    private static function cold(string $control, int $planned, int $level): RackCharge
    {
        $file = Racks::file(['receiver_level_percent' => $level]);
        $file['system'] = ['head_pressure_control' => $control] + $file['system'];
        $file['design'] = ['coldest_ambient_c' => -20, 'level_reference_percent' => $planned] + $file['design'];
        $charge = RackCharge::of(RackExamination::of(Racks::read($file)));
        assert($charge !== null);

        return $charge;
    }

    public function test_a_receiver_takes_what_it_holds_at_eighty_percent_on_a_warm_day(): void
    {
        $down = self::charge()->pumpedDown();

        // 38 l, four fifths of it, about a kilogram a litre at 32 °C.
        self::assertEqualsWithDelta(0.8 * 38.0 * 1.04, $down->holds, 2.5);
        self::assertSame($down->charge <= $down->holds, $down->isFitting());
    }

    /** @param  array<string, float|int|null>  $readings */
    private static function charge(array $readings = []): RackCharge
    {
        $charge = RackCharge::of(RackExamination::of(Racks::of($readings)));
        assert($charge !== null);

        return $charge;
    }
}
