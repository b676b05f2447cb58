<?php

declare(strict_types=1);

namespace Metrum\Quantity;

/** Reads what people type: "32 psi", "-5F", "4\"hg", "1,5 bar", "-18", "1/4 in". */
final class Reader
{
    private const FRACTIONS = [
        '½' => '1/2',
        '¼' => '1/4',
        '¾' => '3/4',
        '⅛' => '1/8',
        '⅜' => '3/8',
        '⅝' => '5/8',
        '⅞' => '7/8',
    ];

    /**
     * @param  Unit  $usual  the unit meant where none is typed
     *
     * @throws NotAQuantity where no number or an unfit unit stands there, or the value cannot exist
     */
    public static function read(string $text, QuantityKind $kind, Unit $usual): Amount
    {
        $degrees = [QuantityKind::Temperature, QuantityKind::Difference, QuantityKind::DifferenceRate];
        if (str_contains($text, '°') && ! in_array($kind, $degrees, true)) {
            throw NotAQuantity::wrongUnit('°', $kind, $usual);
        }
        $clean = str_replace(['−', '–', '°', "\u{00A0}", "\u{202F}"], ['-', '-', '', ' ', ' '], trim($text));
        if (preg_match('/['.implode(array_keys(self::FRACTIONS)).']\s*\d/u', $clean) === 1) {
            throw NotAQuantity::unreadable($text, $kind, $usual);
        }
        foreach (self::FRACTIONS as $sign => $plain) {
            $clean = str_replace($sign, ' '.$plain, $clean);
        }
        $clean = trim($clean);
        if (
            mb_strlen($clean) > 60 ||
            preg_match(
                '~^([+-]?)\s*((?:\d+\s+)?\d+\s*/\s*\d+|\d[\d.,]*(?:e[+-]?\d+)?|[.,]\d+)\s*(.*)$~iu',
                $clean,
                $part,
            ) !== 1
        ) {
            throw NotAQuantity::unreadable($text, $kind, $usual);
        }
        $number = self::number($part[2], $text, $kind, $usual);
        if ($part[1] === '-') {
            $number = -$number;
        }
        $spelling = mb_strtolower((string) preg_replace('/\s+/u', '', $part[3]));
        $unit = $spelling === '' ? $usual : self::unit($spelling, $kind, $part[3], $usual);
        if ($unit === Unit::Turn && $spelling === 'out') {
            $number = -abs($number);
        }
        if ($unit === Unit::InchMercuryVacuum) {
            // Below zero with or without its sign.
            $number = abs($number);
        }

        return Amount::of($number, $unit, $kind);
    }

    private static function number(string $digits, string $typed, QuantityKind $kind, Unit $usual): float
    {
        if (str_contains($digits, '/')) {
            preg_match('~^(?:(\d+)\s+)?(\d+)\s*/\s*(\d+)$~', $digits, $part);
            if ($part === [] || (int) $part[3] === 0) {
                throw NotAQuantity::unreadable($typed, $kind, $usual);
            }

            return (float) $part[1] + (float) $part[2] / (float) $part[3];
        }
        // Nobody gives an altitude in thousandths: a lone comma before three digits parts thousands there.
        if ($kind === QuantityKind::Altitude && preg_match('/^\d{1,3}(?:[.,]\d{3})+$/', $digits) === 1) {
            return (float) str_replace([',', '.'], '', $digits);
        }
        $comma = strrpos($digits, ',');
        $point = strrpos($digits, '.');
        if ($comma !== false && $point !== false) {
            // One of them parts thousands, the other the decimals: "1,234.5" or "1.234,5".
            if (preg_match('/^\d{1,3}(?:,\d{3})+\.\d+$|^\d{1,3}(?:\.\d{3})+,\d+$/', $digits) !== 1) {
                throw NotAQuantity::unreadable($typed, $kind, $usual);
            }
            $digits =
                $comma > $point
                    ? str_replace(',', '.', str_replace('.', '', $digits))
                    : str_replace(',', '', $digits);
        } else {
            $digits = str_replace(',', '.', $digits);
        }
        if (! is_numeric($digits)) {
            throw NotAQuantity::unreadable($typed, $kind, $usual);
        }

        return (float) $digits;
    }

    private static function unit(string $spelling, QuantityKind $kind, string $asTyped, Unit $usual): Unit
    {
        foreach ($kind->units() as $unit) {
            if (
                in_array($spelling, $unit->spellings(), true) ||
                $spelling === mb_strtolower(str_replace([' ', '°'], '', $unit->symbol()))
            ) {
                return $unit;
            }
        }
        throw NotAQuantity::wrongUnit(trim($asTyped), $kind, $usual);
    }
}
