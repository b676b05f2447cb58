<?php

declare(strict_types=1);

namespace Tests\Core\Twin\Ice;

use Metrum\Bench\Inputs;
use Metrum\Card\Sum;
use Metrum\Installation\Circuit;
use Metrum\Installation\Condition;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\Units;
use Metrum\Twin\Expected;
use Metrum\Twin\Ice\FlakeIce;
use Metrum\Twin\Twin;
use PHPUnit\Framework\TestCase;

/** A flake machine makes by its air, its water and its moisture, through its rated points; it has no cycle. */
final class FlakeIceTest extends TestCase
{
    /** @param  array<string, float>  $design */
    private static function circuit(array $design = []): Circuit
    {
        return Circuit::fromWords(
            ['kind' => 'ice_machine', 'ice' => 'continuous', 'refrigerant' => 'R-404A', 'metering' => 'txv'],
            $design,
        );
    }

    /** @param  array<string, float>  $design */
    private static function day(float $air, float $water, ?float $moisture = null, array $design = []): Expected
    {
        $circuit = self::circuit($design);
        $day = (new FlakeIce($circuit, Twin::fittedTo($circuit)))->perDay(
            Celsius::ZERO + $air,
            Celsius::ZERO + $water,
            $moisture,
        );
        self::assertNotNull($day);

        return $day;
    }

    public function test_it_makes_what_it_is_rated_for_where_it_is_rated(): void
    {
        $both = ['ice_per_day_kg' => 450, 'ice_per_day_hot_kg' => 370];

        self::assertEqualsWithDelta(450, self::day(21, 10, null, $both)->value, 0.5);
        self::assertEqualsWithDelta(370, self::day(32, 21, null, $both)->value, 0.5);
        self::assertEqualsWithDelta(450, self::day(21, 10, null, ['ice_per_day_kg' => 450])->value, 0.5);
    }

    public function test_warm_water_and_warm_air_make_less_and_wet_ice_makes_more_of_it(): void
    {
        $rated = ['ice_per_day_kg' => 450];
        $usual = self::day(21, 10, null, $rated)->value;

        self::assertLessThan($usual, self::day(21, 25, null, $rated)->value);
        self::assertLessThan($usual, self::day(35, 10, null, $rated)->value);
        self::assertGreaterThan($usual, self::day(21, 10, 0.35, $rated)->value);
        // 4.19 · 10 + 0.78 · 334 = 302 kJ/kg against 4.19 · 25 + 0.78 · 334 = 365.
        self::assertEqualsWithDelta(302.4 / 365.3, self::day(21, 25, null, $rated)->value / $usual, 0.002);
    }

    public function test_each_plate_that_is_known_makes_it_surer(): void
    {
        $width = static fn (array $design): float => self::day(24, 12, null, $design)->deviation /
            self::day(24, 12, null, $design)->value;

        self::assertGreaterThan($width(['ice_per_day_kg' => 450]), $width([]));
        self::assertGreaterThan(
            $width(['ice_per_day_kg' => 450, 'ice_per_day_hot_kg' => 370]),
            $width(['ice_per_day_kg' => 450]),
        );
    }

    public function test_moisture_is_told_by_how_far_ice_cools_a_bucket(): void
    {
        $moisture = static fn (float $after): float => (float) Sum::IceMoisture->does()->answer(
            new Inputs([
                'water_kg' => 4.0,
                'before_c' => 313.15,
                'ice_kg' => 1.0,
                'after_c' => 273.15 + $after,
            ], new Units()),
        )->output('moisture_percent')?->value;

        // Ice that is frozen through: 4 · 4.19 · (40 − t) = 334 + 4.19 · t, t = 16.06 °C.
        self::assertEqualsWithDelta(0.0, $moisture(16.06), 0.002);
        self::assertEqualsWithDelta(0.25, $moisture(20.05), 0.003, 'a quarter of it takes nothing to melt');
        self::assertGreaterThan($moisture(18.0), $moisture(22.0));
    }

    public function test_nothing_of_a_cycle_is_asked_of_it_and_nothing_of_flakes_of_a_batch_machine(): void
    {
        $flakes = self::circuit();
        $batch = Circuit::fromWords(['kind' => 'ice_machine', 'ice' => 'batch', 'refrigerant' => 'R-404A'], []);

        foreach ([Reading::FreezeTime, Reading::HarvestTime, Reading::IcePerCycle, Reading::SuctionEnd] as $one) {
            self::assertFalse($one->taking()->isAskedAt($flakes), $one->value);
            self::assertTrue($one->taking()->isAskedAt($batch), $one->value);
        }
        foreach ([Reading::IceInQuarter, Reading::IceMoisture, Reading::GearboxCurrent] as $one) {
            self::assertTrue($one->taking()->isAskedAt($flakes), $one->value);
            self::assertFalse($one->taking()->isAskedAt($batch), $one->value);
        }
        self::assertFalse(Condition::HotGas->holds($flakes), 'it has no harvest');
        self::assertTrue(Condition::HotGas->holds($batch));
    }
}
