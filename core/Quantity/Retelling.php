<?php

declare(strict_types=1);

namespace Metrum\Quantity;

/**
 * Sentences whose figures were written in somebody else's units, in the reader's: "5.5 to 8.5 K below the box air" is
 * "9.9 to 15.3 °F diff. below the box air". What stands in the reader's units already is let be.
 *
 * For texts of data/ and for what was said to somebody else and kept; never for what a person typed.
 */
final readonly class Retelling
{
    /** A number or a span of two, and its unit. */
    private const AMOUNT =
        '~(?<![\w.])([-−+]?\d+(?:\.\d+)?)(?:( to | / | and |–)([-−+]?\d+(?:\.\d+)?))?(\s?)'.
        '(°F diff\.|K/h|°F/h|kPa/min|bar/min|psi/min|K|°C|°F|kPa|bar|psi|kg|lb|oz|g)(?![\w²³/]|-\w)~u';

    private const KINDS = [
        'K' => [QuantityKind::Difference, Unit::KelvinDifference],
        '°F diff.' => [QuantityKind::Difference, Unit::FahrenheitDifference],
        'K/h' => [QuantityKind::DifferenceRate, Unit::KelvinPerHour],
        '°F/h' => [QuantityKind::DifferenceRate, Unit::FahrenheitPerHour],
        '°C' => [QuantityKind::Temperature, Unit::Celsius],
        '°F' => [QuantityKind::Temperature, Unit::Fahrenheit],
        'kPa' => [QuantityKind::PressureDifference, Unit::Kilopascal],
        'bar' => [QuantityKind::PressureDifference, Unit::Bar],
        'psi' => [QuantityKind::PressureDifference, Unit::Psi],
        'kPa/min' => [QuantityKind::PressureRate, Unit::KilopascalPerMinute],
        'bar/min' => [QuantityKind::PressureRate, Unit::BarPerMinute],
        'psi/min' => [QuantityKind::PressureRate, Unit::PsiPerMinute],
        'kg' => [QuantityKind::Mass, Unit::Kilogram],
        'g' => [QuantityKind::Mass, Unit::Gram],
        'lb' => [QuantityKind::Mass, Unit::Pound],
        'oz' => [QuantityKind::Mass, Unit::Ounce],
    ];

    /** From which a round number stays round. */
    private const LARGE = 10.0;

    public function __construct(private Units $units)
    {
    }

    public function of(string $text): string
    {
        return preg_replace_callback(self::AMOUNT, $this->amount(...), $text) ?? $text;
    }

    /** @param  array<string>  $found */
    private function amount(array $found): string
    {
        [$all, $first, $between, $second, $blank, $symbol] = $found;
        [$kind, $unit] = self::KINDS[$symbol];
        $own = $this->own($kind, $unit, (float) strtr($second === '' ? $first : $second, ['−' => '-']));
        if ($own === $unit) {
            return $all;
        }
        $numbers = array_filter([$first, $second], static fn (string $one): bool => $one !== '');
        $isExact = array_filter($numbers, static fn (string $one): bool => str_contains($one, '.')) !== [];
        $told = array_map(static fn (string $one): string => self::number($one, $unit, $own, $isExact), $numbers);

        return implode($between, $told).($blank === '' ? '' : ' ').$own->symbol();
    }

    /** The reader's unit; a mass stays small or large as it was told. */
    private function own(QuantityKind $kind, Unit $unit, float $value): Unit
    {
        if ($kind !== QuantityKind::Mass) {
            return $this->units->of($kind);
        }
        $isInPounds = in_array($unit, [Unit::Pound, Unit::Ounce], true);

        return $isInPounds === ($this->units->mass === Unit::Pound) ? $unit : $this->units->ofMass($unit->toSi($value));
    }

    /** No more digits than were told: round where it was round, and large enough. */
    private static function number(string $told, Unit $from, Unit $to, bool $isExact): string
    {
        $value = $to->fromSi($from->toSi((float) strtr($told, ['−' => '-'])));
        $isLarge = abs($value) >= self::LARGE && ! $isExact;
        $number = Format::number($value, $isLarge ? 0 : max(1, $to->decimals()));

        return str_starts_with($told, '+') && $value > 0.0 ? '+'.$number : $number;
    }
}
