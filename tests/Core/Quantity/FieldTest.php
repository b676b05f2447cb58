<?php

declare(strict_types=1);

namespace Tests\Core\Quantity;

use Metrum\Quantity\Atmosphere;
use Metrum\Quantity\Field;
use Metrum\Quantity\Kind;
use Metrum\Quantity\NotAQuantity;
use Metrum\Quantity\Unit;
use Metrum\Quantity\Units;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a field makes of what is typed: an amount in SI, or a refusal with what was given and what is possible. */
final class FieldTest extends TestCase
{
    private static function box(): Field
    {
        return Field::inFileUnit('box', 'Box', Kind::Temperature, -60.0, 50.0, 2.0);
    }

    public function test_limits_and_the_usual_value_are_kept_in_si(): void
    {
        self::assertEqualsWithDelta(213.15, self::box()->least, 1e-9);
        self::assertEqualsWithDelta(323.15, self::box()->most, 1e-9);
        self::assertEqualsWithDelta(275.15, (float) self::box()->usual, 1e-9);
        self::assertSame(Unit::Celsius, self::box()->fileUnit());
    }

    public function test_a_number_is_in_ones_own_unit_unless_another_is_typed(): void
    {
        $fahrenheit = Units::fromSettings(['temperature' => 'f']);

        self::assertEqualsWithDelta(273.15, self::box()->read('32', $fahrenheit)->si, 1e-9);
        self::assertEqualsWithDelta(268.15, self::box()->read('-5 C', $fahrenheit)->si, 1e-9);
        self::assertSame(Unit::Fahrenheit, self::box()->read('32', $fahrenheit)->unit);
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function refusals(): iterable
    {
        yield 'too warm' => ['51', ['Box', '51', '−60 to 50 °C']];
        yield 'too cold' => ['-61', ['Box', '-61', '−60 to 50 °C']];
        yield 'a limit in the unit typed' => ['200 F', ['200 F', '−76 to 122 °F']];
        yield 'no number' => ['warm', ['Box', 'warm']];
        yield 'another quantity' => ['3 bar', ['Box', '3 bar']];
    }

    /** @param  list<string>  $said */
    #[DataProvider('refusals')]
    public function test_a_refusal_says_what_was_given_and_what_is_possible(string $typed, array $said): void
    {
        try {
            self::box()->read($typed, Units::fromSettings([]));
            self::fail($typed.' was taken');
        } catch (NotAQuantity $refusal) {
            foreach ($said as $part) {
                self::assertStringContainsString($part, $refusal->getMessage());
            }
        }
    }

    public function test_the_ends_of_a_span_are_possible_and_what_lies_beyond_is_not(): void
    {
        foreach ([213.15, 323.15, 300.0] as $possible) {
            self::assertNull(self::box()->refusal($possible));
        }
        foreach ([213.14, 323.16, NAN, INF, -INF] as $impossible) {
            self::assertNotNull(self::box()->refusal($impossible));
        }
    }

    public function test_a_gauge_shows_no_less_than_the_sites_vacuum(): void
    {
        $field = Field::inFileUnit('suction', 'Suction', Kind::GaugePressure, -110.0, 20000.0);
        $high = $field->at(Atmosphere::atAltitude(2500.0));

        self::assertNull($field->at(Atmosphere::atAltitude(0.0))->refusal(-90e3));
        self::assertStringContainsString('vacuum', (string) $high->refusal(-90e3));
        self::assertNull($high->refusal(-70e3));
        self::assertSame(self::box()->least, self::box()->at(Atmosphere::atAltitude(2500.0))->least);
    }

    public function test_what_is_counted_is_whole(): void
    {
        $fans = Field::inFileUnit('fans', 'Fans', Kind::Count, 0.0, 12.0);

        self::assertNull($fans->refusal(3.0));
        self::assertSame('a whole number is wanted', $fans->refusal(2.5));
    }
}
