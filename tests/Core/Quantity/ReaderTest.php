<?php

declare(strict_types=1);

namespace Tests\Core\Quantity;

use Eris\Generators;
use Eris\TestTrait;
use Metrum\Quantity\Format;
use Metrum\Quantity\NotAQuantity;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Reader;
use Metrum\Quantity\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What people type, and what is made of it. */
final class ReaderTest extends TestCase
{
    use TestTrait;

    /** @return iterable<string, array{string, QuantityKind, Unit, float, float}> typed, usual unit, SI, tolerance */
    public static function typed(): iterable
    {
        yield '32 psi' => ['32 psi', QuantityKind::GaugePressure, Unit::Kilopascal, 220632.2, 0.1];
        yield '32psig' => ['32psig', QuantityKind::GaugePressure, Unit::Bar, 220632.2, 0.1];
        yield '-5F' => ['-5F', QuantityKind::Temperature, Unit::Celsius, 252.594, 0.001];
        yield '4"hg is vacuum' => ['4"hg', QuantityKind::GaugePressure, Unit::Bar, -13545.6, 0.1];
        yield '4 inHg on a gauge is vacuum' => ['4 inHg', QuantityKind::GaugePressure, Unit::Bar, -13545.6, 0.1];
        yield '1,5 bar' => ['1,5 bar', QuantityKind::GaugePressure, Unit::Kilopascal, 150000.0, 1e-6];
        yield '-18 in the usual unit' => ['-18', QuantityKind::Temperature, Unit::Celsius, 255.15, 1e-9];
        yield '-18 for a Fahrenheit user' => ['-18', QuantityKind::Temperature, Unit::Fahrenheit, 245.372, 0.001];
        yield 'true minus sign' => ['−18 °C', QuantityKind::Temperature, Unit::Fahrenheit, 255.15, 1e-9];
        yield 'blank before the degree' => ['21 ° C', QuantityKind::Temperature, Unit::Celsius, 294.15, 1e-9];
        yield 'thousands with comma, decimals with point' => [
            '1,234.5 kPa',
            QuantityKind::GaugePressure,
            Unit::Bar,
            1234500.0,
            1e-6,
        ];
        yield 'thousands with point, decimals with comma' => [
            '1.234,5 kPa',
            QuantityKind::GaugePressure,
            Unit::Bar,
            1234500.0,
            1e-6,
        ];
        yield 'difference in Fahrenheit is not offset' => [
            '18 F',
            QuantityKind::Difference,
            Unit::KelvinDifference,
            10.0,
            1e-9,
        ];
        yield 'difference in kelvin' => ['5.5', QuantityKind::Difference, Unit::KelvinDifference, 5.5, 1e-9];
        yield 'difference said in degrees Celsius' => [
            '5.5 C',
            QuantityKind::Difference,
            Unit::FahrenheitDifference,
            5.5,
            1e-9,
        ];
        yield 'quarter turn' => ['1/4', QuantityKind::Turns, Unit::Turn, 0.25, 1e-12];
        yield 'quarter sign' => ['¼', QuantityKind::Turns, Unit::Turn, 0.25, 1e-12];
        yield 'one and a half' => ['1 1/2', QuantityKind::Turns, Unit::Turn, 1.5, 1e-12];
        yield 'half out' => ['1/2 out', QuantityKind::Turns, Unit::Turn, -0.5, 1e-12];
        yield 'half in' => ['1/2 in', QuantityKind::Turns, Unit::Turn, 0.5, 1e-12];
        yield 'grams' => ['350 g', QuantityKind::Mass, Unit::Kilogram, 0.35, 1e-12];
        yield 'ounces' => ['12 oz', QuantityKind::Mass, Unit::Kilogram, 0.340194, 1e-6];
        yield 'percent' => ['80 %', QuantityKind::Share, Unit::Percent, 0.8, 1e-12];
        yield 'feet of altitude' => ['6,230 ft', QuantityKind::Altitude, Unit::Metre, 1898.904, 0.001];
        yield 'amperes' => ['9.8A', QuantityKind::Current, Unit::Ampere, 9.8, 1e-12];
        yield 'micron is absolute' => ['500 micron', QuantityKind::AbsolutePressure, Unit::Kilopascal, 66.66, 0.01];
        yield 'hours' => ['1.5 h', QuantityKind::Duration, Unit::Minute, 5400.0, 1e-9];
        yield 'leading point' => ['.5 bar', QuantityKind::GaugePressure, Unit::Kilopascal, 50000.0, 1e-6];
        yield 'rise per minute' => [
            '35 kPa/min',
            QuantityKind::PressureRate,
            Unit::KilopascalPerMinute,
            583.333,
            0.001,
        ];
        yield 'kelvin per hour' => ['4 K/h', QuantityKind::DifferenceRate, Unit::KelvinPerHour, 4 / 3600, 1e-9];
        yield 'litres' => ['9 l', QuantityKind::Volume, Unit::Litre, 0.009, 1e-12];
    }

    #[DataProvider('typed')]
    public function test_it_reads_what_people_type(
        string $typed,
        QuantityKind $kind,
        Unit $usual,
        float $si,
        float $tolerance,
    ): void {
        self::assertEqualsWithDelta($si, Reader::read($typed, $kind, $usual)->si, $tolerance);
    }

    /** @return iterable<string, array{string, QuantityKind, Unit, string}> typed, usual unit, part of the answer */
    public static function refused(): iterable
    {
        yield 'nothing' => ['', QuantityKind::Temperature, Unit::Celsius, 'is not a temperature'];
        yield 'words' => [
            'warm',
            QuantityKind::Temperature,
            Unit::Celsius,
            '“warm” is not a temperature. Enter a number; units: °C (default), °F, K.',
        ];
        yield 'unit of another kind' => [
            '5 kg',
            QuantityKind::Temperature,
            Unit::Celsius,
            'kg is not a temperature unit. Use °C, °F or K.',
        ];
        yield 'volts for amperes' => ['230 V', QuantityKind::Current, Unit::Ampere, 'Use A.'];
        yield 'below absolute zero' => ['-300 C', QuantityKind::Temperature, Unit::Celsius, 'at least −273.15 °C'];
        yield 'below vacuum' => ['-200 kPa', QuantityKind::GaugePressure, Unit::Bar, 'at least −101.33 kPa'];
        yield 'more vacuum than there is' => [
            '31 inHg',
            QuantityKind::GaugePressure,
            Unit::Bar,
            'at most 29.92 inHg vac.',
        ];
        yield 'negative mass' => ['-2 kg', QuantityKind::Mass, Unit::Kilogram, 'at least 0 kg'];
        yield 'division by nothing' => ['1/0', QuantityKind::Turns, Unit::Turn, 'is not a number'];
        yield 'two numbers' => ['3 4 bar', QuantityKind::GaugePressure, Unit::Bar, '4 bar is not a pressure unit'];
        yield 'script' => [
            '<script>alert(1)</script>',
            QuantityKind::GaugePressure,
            Unit::Bar,
            'is not a pressure',
        ];
        yield 'endless text' => [str_repeat('9', 500), QuantityKind::GaugePressure, Unit::Bar, '…'];
        yield 'infinity by exponent' => ['1e999', QuantityKind::GaugePressure, Unit::Bar, 'a finite number'];
    }

    #[DataProvider('refused')]
    public function test_it_says_what_was_given_and_what_is_possible(
        string $typed,
        QuantityKind $kind,
        Unit $usual,
        string $said,
    ): void {
        $this->expectException(NotAQuantity::class);
        $this->expectExceptionMessage($said);
        Reader::read($typed, $kind, $usual);
    }

    public function test_every_unit_reads_back_what_it_formats(): void
    {
        $this->forAll(Generators::choose(-4000, 30000))->then(function (int $hundredths): void {
            foreach (QuantityKind::cases() as $kind) {
                foreach ($kind->units() as $unit) {
                    if ($unit === Unit::One || ($unit === Unit::InchMercuryVacuum && $hundredths < 0)) {
                        continue;
                    }
                    $value = $hundredths / 100;
                    $si = $unit->toSi($value);
                    $lowest = $kind->lowest();
                    if ($lowest !== null && $si < $lowest) {
                        continue;
                    }
                    $typed = Format::number($value, 2).' '.$unit->symbol();
                    self::assertEqualsWithDelta(
                        $si,
                        Reader::read($typed, $kind, $kind->units()[0])->si,
                        1e-9 * max(1.0, abs($si)),
                        $kind->value.': '.$typed,
                    );
                }
            }
        });
    }

    public function test_si_and_back_is_the_same_value(): void
    {
        $this->forAll(Generators::float())->then(function (float $value): void {
            foreach (Unit::cases() as $unit) {
                self::assertEqualsWithDelta(
                    $value,
                    $unit->fromSi($unit->toSi($value)),
                    1e-6 * max(1.0, abs($value)),
                    $unit->value,
                );
            }
        });
    }
}
