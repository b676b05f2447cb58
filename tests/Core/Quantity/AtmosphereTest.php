<?php

declare(strict_types=1);

namespace Tests\Core\Quantity;

use Metrum\Quantity\Atmosphere;
use Metrum\Quantity\NotAQuantity;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class AtmosphereTest extends TestCase
{
    /**
     * Height in m, Pa by the International Standard Atmosphere's table over geopotential height.
     *
     * @return iterable<string, array{float, float}>
     */
    public static function standard(): iterable
    {
        yield 'sea level' => [0.0, 101325.0];
        yield '500 m' => [500.0, 95461.0];
        yield '1000 m' => [1000.0, 89876.0];
        yield '1800 m' => [1800.0, 81494.0];
        yield '2000 m' => [2000.0, 79495.0];
        yield '3000 m' => [3000.0, 70109.0];
        yield '4000 m' => [4000.0, 61640.0];
        yield 'below the sea' => [-300.0, 104981.0];
    }

    #[DataProvider('standard')]
    public function test_it_follows_the_standard_atmosphere(float $metres, float $pascal): void
    {
        self::assertEqualsWithDelta($pascal, Atmosphere::atAltitude($metres)->pascal, 12.0);
    }

    public function test_gauge_and_absolute_are_each_others_inverse_at_any_height(): void
    {
        foreach ([0.0, 1900.0, 5000.0] as $metres) {
            $air = Atmosphere::atAltitude($metres);
            self::assertEqualsWithDelta(310e3, $air->gauge($air->absolute(310e3)), 1e-9);
            self::assertSame($air->pascal, $air->absolute(0.0));
        }
    }

    public function test_heights_where_nobody_cools_are_refused(): void
    {
        foreach ([-501.0, 6001.0] as $metres) {
            try {
                Atmosphere::atAltitude($metres);
                self::fail($metres.' m was taken');
            } catch (NotAQuantity $error) {
                self::assertStringContainsString('you entered', $error->getMessage());
            }
        }
        $this->expectException(NotAQuantity::class);
        Atmosphere::of(20e3);
    }
}
