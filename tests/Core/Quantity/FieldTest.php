<?php

declare(strict_types=1);

namespace Tests\Core\Quantity;

use Metrum\Quantity\Atmosphere;
use Metrum\Quantity\Field;
use Metrum\Quantity\NotAQuantity;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Unit;
use Metrum\Quantity\Units;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a field makes of what is typed: an amount in SI, or a refusal with what was given and what is possible. */
final class FieldTest extends TestCase
{
    private static function box(): Field
    {
        return Field::inFileUnit('box', 'Box', QuantityKind::Temperature, -60.0, 50.0, 2.0);
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
        yield 'another quantity' => ['bar is not a temperature unit', ['Box', 'bar is not a temperature unit']];
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
        $field = Field::inFileUnit('suction', 'Suction', QuantityKind::GaugePressure, -110.0, 20000.0);
        $high = $field->at(Atmosphere::atAltitude(2500.0));

        self::assertNull($field->at(Atmosphere::atAltitude(0.0))->refusal(-90e3));
        self::assertStringContainsString('vacuum', (string) $high->refusal(-90e3));
        self::assertNull($high->refusal(-70e3));
        self::assertSame(self::box()->least, self::box()->at(Atmosphere::atAltitude(2500.0))->least);
    }

    public function test_what_is_counted_is_whole(): void
    {
        $fans = Field::inFileUnit('fans', 'Fans', QuantityKind::Count, 0.0, 12.0);

        self::assertNull($fans->refusal(3.0));
        self::assertSame('enter a whole number', $fans->refusal(2.5));
    }

    /** @return iterable<string, array{string, float}> typed, Pa gauge at 1 500 m */
    public static function absolutes(): iterable
    {
        $air = Atmosphere::atAltitude(1500.0)->pascal;
        yield 'bara' => ['5 bara', 500e3 - $air];
        yield 'bar a' => ['5,0 bar a', 500e3 - $air];
        yield 'psia' => ['20psia', 20 * 6894.757293168 - $air];
        yield 'kPa abs' => ['300 kPa abs', 300e3 - $air];
        yield 'abs.' => ['3 bar abs.', 300e3 - $air];
        yield 'absolute in the own unit' => ['3 absolute', 300e3 - $air];
        yield 'a deep vacuum' => ['20 kPa abs', 20e3 - $air];
        yield 'a gauge stays one' => ['5 bar', 500e3];
        yield 'barg' => ['5 barg', 500e3];
        yield 'inches of vacuum' => ['10 inHg', -33863.89];
        yield 'with their sign' => ['-10 inHg', -33863.89];
    }

    #[DataProvider('absolutes')]
    public function test_absolute_is_absolute_and_vacuum_is_below_zero(string $typed, float $gauge): void
    {
        $field = Field::inFileUnit('suction', 'Suction', QuantityKind::GaugePressure, -110.0, 20000.0)->at(
            Atmosphere::atAltitude(1500.0),
        );

        self::assertEqualsWithDelta(
            $gauge,
            $field->read($typed, Units::fromSettings(['pressure' => 'bar']))->si,
            1.0,
        );
    }

    /** @return iterable<string, array{QuantityKind, string}> */
    public static function nonsense(): iterable
    {
        yield 'two separators' => [QuantityKind::GaugePressure, '2,1.5'];
        yield 'digits behind a fraction' => [QuantityKind::GaugePressure, '31½50'];
        yield 'degrees of pressure' => [QuantityKind::GaugePressure, '5°'];
        yield 'degrees of current' => [QuantityKind::Current, '5°'];
        yield 'parted fans' => [QuantityKind::Count, '1 000'];
        yield 'three points' => [QuantityKind::Temperature, '1.2.3'];
        yield 'absolute temperature' => [QuantityKind::Temperature, '5 abs'];
    }

    #[DataProvider('nonsense')]
    public function test_nothing_is_trimmed_to_a_number(QuantityKind $kind, string $typed): void
    {
        $this->expectException(NotAQuantity::class);
        Field::inFileUnit('it', 'It', $kind, -1e6, 1e6)->read($typed, Units::fromSettings([]));
    }

    public function test_thousands_are_parted_where_they_can_be(): void
    {
        $head = Field::inFileUnit('head', 'Head', QuantityKind::GaugePressure, -110.0, 20000.0);
        $kilopascal = Units::fromSettings(['pressure' => 'kpa']);

        self::assertEqualsWithDelta(1234.5e3, $head->read('1,234.5', $kilopascal)->si, 1e-6);
        self::assertEqualsWithDelta(1234.5e3, $head->read('1.234,5', $kilopascal)->si, 1e-6);
        self::assertEqualsWithDelta(2.5e3, $head->read('2,5', $kilopascal)->si, 1e-6);
    }
}
