<?php

declare(strict_types=1);

namespace Tests\Core\Quantity;

use Metrum\Quantity\Format;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Unit;
use Metrum\Quantity\Units;
use PHPUnit\Framework\TestCase;

final class FormatTest extends TestCase
{
    public function test_minus_is_a_true_minus_and_zero_has_none(): void
    {
        self::assertSame('−7.3', Format::number(-7.3, 1));
        self::assertSame('0', Format::number(-0.04, 1));
        self::assertSame('0.0', Format::number(-0.04, 1, true));
    }

    public function test_needless_zeros_are_cut_unless_wanted(): void
    {
        self::assertSame('5', Format::number(5.0, 2));
        self::assertSame('5.00', Format::number(5.0, 2, true));
        self::assertSame('100', Format::number(100.0, 0));
    }

    public function test_a_value_has_the_decimals_its_instrument_has(): void
    {
        self::assertSame('2.06 bar', Format::amount(206e3, Unit::Bar));
        self::assertSame('29.9 psi', Format::amount(206e3, Unit::Psi));
        self::assertSame('206 kPa', Format::amount(206e3, Unit::Kilopascal));
        self::assertSame('−7.0 °C', Format::amount(266.15, Unit::Celsius));
        self::assertSame('10.8 °F diff.', Format::amount(6.0, Unit::FahrenheitDifference));
        self::assertSame('3', Format::amount(3.0, Unit::One));
    }

    public function test_a_ratio_is_no_count(): void
    {
        $units = new Units();
        self::assertSame('4.0', $units->text(3.97, QuantityKind::Ratio));
        self::assertSame('0.45', $units->number(0.45, QuantityKind::Ratio));
        self::assertSame('−0.10', $units->number(-0.1, QuantityKind::Ratio), 'a change of one');
        self::assertSame('4', $units->text(4.0, QuantityKind::Count));
    }
}
