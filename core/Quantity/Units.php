<?php

declare(strict_types=1);

namespace Metrum\Quantity;

/** The units in which one person reads and types. */
final readonly class Units
{
    public const CHOICES = [
        'temperature' => ['c', 'f'],
        'pressure' => ['bar', 'kpa', 'psi'],
        'mass' => ['kg', 'lb'],
    ];

    /** Pa abs below which a pressure is told as a vacuum. */
    public const VACUUM = 5e3;

    /** Units in which a vacuum is told. */
    private const OF_VACUUM = [Unit::Pascal, Unit::Micron];

    /** Languages whose decimals follow a comma. */
    private const DECIMAL_COMMA = ['de'];

    public function __construct(
        public Unit $temperature = Unit::Celsius,
        public Unit $pressure = Unit::Bar,
        public Unit $mass = Unit::Kilogram,
        private ?Unit $vacuum = null,
        public string $locale = 'en',
    ) {
    }

    /** In which a vacuum is told and typed: micron beside psi, else pascals. */
    public function ofVacuum(): Unit
    {
        return $this->vacuum ?? ($this->pressure === Unit::Psi ? Unit::Micron : Unit::Pascal);
    }

    /** The same, with a vacuum told in the unit in which it was typed; null, or one for no vacuum: as before. */
    public function asTyped(?Unit $vacuum): self
    {
        return in_array($vacuum, self::OF_VACUUM, true)
            ? new self($this->temperature, $this->pressure, $this->mass, $vacuum, $this->locale)
            : $this;
    }

    /** The same for a reader of another language. @param  string  $locale  "en", "de" */
    public function speaking(string $locale): self
    {
        return new self($this->temperature, $this->pressure, $this->mass, $this->vacuum, $locale);
    }

    /** A number with its unit, as the reader's language writes decimals. */
    public function written(string $amount): string
    {
        return in_array($this->locale, self::DECIMAL_COMMA, true) ? str_replace('.', ',', $amount) : $amount;
    }

    /** @param  array<string, string>  $settings */
    public static function fromSettings(array $settings): self
    {
        return new self(
            Unit::tryFrom($settings['temperature'] ?? 'c') ?? Unit::Celsius,
            Unit::tryFrom($settings['pressure'] ?? 'bar') ?? Unit::Bar,
            Unit::tryFrom($settings['mass'] ?? 'kg') ?? Unit::Kilogram,
        );
    }

    public function of(QuantityKind $kind): Unit
    {
        $fahrenheit = $this->temperature === Unit::Fahrenheit;

        return match ($kind) {
            QuantityKind::Temperature => $this->temperature,
            QuantityKind::Difference => $fahrenheit ? Unit::FahrenheitDifference : Unit::KelvinDifference,
            QuantityKind::DifferenceRate => $fahrenheit ? Unit::FahrenheitPerHour : Unit::KelvinPerHour,
            QuantityKind::GaugePressure,
            QuantityKind::AbsolutePressure,
            QuantityKind::PressureDifference => $this->pressure,
            QuantityKind::PressureRate => $this->pressure->perMinute(),
            QuantityKind::Mass, QuantityKind::MassChange => $this->mass,
            default => $kind->units()[0],
        };
    }

    /** "12.3 K"; a vacuum in pascals or micron, since nothing of it is left in bar or psi. */
    public function text(float $si, QuantityKind $kind): string
    {
        if ($kind === QuantityKind::AbsolutePressure && abs($si) < self::VACUUM) {
            return Format::amount($si, $this->ofVacuum());
        }

        return match ($kind) {
            QuantityKind::Mass => $this->mass($si),
            QuantityKind::Ratio => $this->number($si, $kind),
            default => Format::amount($si, $this->of($kind)),
        };
    }

    /** A mass as a scale would say it: "1.25 kg", below a kilogram "265 g"; "2.31 lb", below a pound "9.3 oz". */
    public function mass(float $kilograms): string
    {
        return Format::amount($kilograms, $this->ofMass($kilograms));
    }

    /** In which a scale would say a mass (kg). */
    public function ofMass(float $kilograms): Unit
    {
        $small = $this->mass === Unit::Pound ? Unit::Ounce : Unit::Gram;

        return abs($this->mass->fromSi($kilograms)) < 1.0 ? $small : $this->mass;
    }

    /** "+1.25 kg", "−265 g" */
    public function signedMass(float $kilograms): string
    {
        return ($kilograms < 0.0 ? '−' : '+').$this->mass(abs($kilograms));
    }

    /** A sentence whose figures were written in somebody else's units. Never for what a person typed. */
    public function retell(string $text): string
    {
        return (new Retelling($this))->of($text);
    }

    /** "12.3"; a ratio "3.6", below one "0.45" */
    public function number(float $si, QuantityKind $kind): string
    {
        return $kind === QuantityKind::Ratio
            ? Format::number($si, abs($si) < 1.0 ? 2 : 1, true)
            : Format::value($si, $this->of($kind));
    }

    public function symbol(QuantityKind $kind): string
    {
        return $this->of($kind)->symbol();
    }

    /** "4.5 to 6.5" */
    public function span(float $low, float $high, QuantityKind $kind): string
    {
        $unit = $this->of($kind);

        return Format::number($unit->fromSi($low), $unit->decimals()).
            ' to '.
            Format::number($unit->fromSi($high), $unit->decimals());
    }
}
