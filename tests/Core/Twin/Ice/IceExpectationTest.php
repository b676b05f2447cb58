<?php

declare(strict_types=1);

namespace Tests\Core\Twin\Ice;

use Metrum\Exchange\VisitReader;
use Metrum\Findings\Sign;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Twin\Ice\IceExpectation;
use Metrum\Twin\Twins;
use PHPUnit\Framework\TestCase;

/** What an ice machine should show here and now: by the minute of its freeze, in its air, with its water. */
final class IceExpectationTest extends TestCase
{
    /** @param  array<string, float>  $readings */
    private static function expectation(array $readings, string $ice = 'batch'): IceExpectation
    {
        $findings = VisitReader::json(json_encode([
            'format' => 'metrum-visit',
            'version' => 1,
            'id' => 'ice',
            'system' => [
                'kind' => 'ice_machine',
                'ice' => $ice,
                'refrigerant' => 'R-404A',
                'metering' => 'txv',
                'condenser' => 'air_indoor',
                'head_pressure_control' => 'fan_cycling',
                'receiver' => true,
            ],
            'design' => ['ice_per_day_kg' => 400, 'ice_per_day_hot_kg' => 335, 'ice_per_cycle_kg' => 4],
            'readings' => (object) $readings,
        ], JSON_THROW_ON_ERROR));
        $expectation = (new Twins())->expectation($findings, new HouseRules());
        self::assertInstanceOf(IceExpectation::class, $expectation);

        return $expectation;
    }

    private static function value(IceExpectation $expectation, Sign $sign): float
    {
        $expected = $expectation->healthy($sign);
        self::assertNotNull($expected);

        return $expected->value;
    }

    public function test_a_pressure_is_laid_beside_its_own_minute_of_the_freeze(): void
    {
        $air = ['ambient_temperature_c' => 24.0, 'water_temperature_c' => 14.0];
        $early = self::expectation($air + ['freeze_minute_min' => 4.0])->reading(Reading::SuctionPressure);
        $late = self::expectation($air + ['freeze_minute_min' => 11.0])->reading(Reading::SuctionPressure);

        self::assertNotNull($early);
        self::assertNotNull($late);
        self::assertGreaterThan($late->value + 10e3, $early->value);
    }

    public function test_where_nobody_said_the_minute_it_is_wider(): void
    {
        $air = ['ambient_temperature_c' => 24.0, 'water_temperature_c' => 14.0];
        $known = self::expectation($air + ['freeze_minute_min' => 6.0])->reading(Reading::SuctionPressure);
        $unknown = self::expectation($air)->reading(Reading::SuctionPressure);

        self::assertNotNull($known);
        self::assertNotNull($unknown);
        self::assertGreaterThan(1.2 * $known->deviation, $unknown->deviation);
    }

    public function test_warm_water_is_no_slow_freeze(): void
    {
        $cold = self::expectation(['ambient_temperature_c' => 24.0, 'water_temperature_c' => 8.0]);
        $warm = self::expectation(['ambient_temperature_c' => 24.0, 'water_temperature_c' => 24.0]);

        self::assertGreaterThan(60.0 + self::value($cold, Sign::FreezeTime), self::value($warm, Sign::FreezeTime));
        self::assertLessThan(self::value($cold, Sign::IceDay), self::value($warm, Sign::IceDay));
    }

    public function test_air_that_nobody_read_makes_production_wider(): void
    {
        $read = self::expectation(['ambient_temperature_c' => 22.0, 'water_temperature_c' => 13.0])->perDay();
        $unread = self::expectation([])->perDay();

        self::assertEqualsWithDelta($read->value, $unread->value, 1.0);
        self::assertGreaterThan(1.5 * $read->deviation, $unread->deviation);
    }

    public function test_a_machine_that_makes_flakes_runs_no_cycle(): void
    {
        $findings = VisitReader::json(json_encode([
            'format' => 'metrum-visit',
            'version' => 1,
            'id' => 'flakes',
            'system' => ['kind' => 'ice_machine', 'ice' => 'continuous', 'refrigerant' => 'R-404A'],
        ], JSON_THROW_ON_ERROR));

        self::assertNotInstanceOf(
            IceExpectation::class,
            (new Twins())->expectation($findings, new HouseRules()),
        );
    }
}
