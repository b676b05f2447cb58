<?php

declare(strict_types=1);

namespace Metrum\Quantity;

/** Numbers as a technician reads them: a true minus sign, no needless zeros, the unit behind. */
final class Format
{
    /** @param  int  $decimals  at most so many; trailing zeros are cut unless $fixed */
    public static function number(float $value, int $decimals, bool $fixed = false): string
    {
        $text = number_format($value, $decimals, '.', '');
        if (! $fixed && str_contains($text, '.')) {
            $text = rtrim(rtrim($text, '0'), '.');
        }
        if ((float) $text === 0.0) {
            $text = ltrim($text, '-');
        }

        return str_replace('-', '−', $text);
    }

    public static function amount(float $si, Unit $unit): string
    {
        return trim(self::value($si, $unit).' '.$unit->symbol());
    }

    /** The bare number in the unit; small pressures keep a decimal so that a vacuum can be read. */
    public static function value(float $si, Unit $unit): string
    {
        $value = $unit->fromSi($si);

        // Whole minutes are said whole: "15 min", "18.2 min".
        return self::number($value, $unit->decimals(), $unit->decimals() > 0 && $unit !== Unit::Minute);
    }
}
