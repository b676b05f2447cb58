<?php

declare(strict_types=1);

namespace Metrum\Quantity;

/**
 * What sort of quantity a number is. A difference of temperature is a kind of its own: it is never offset-converted.
 */
enum QuantityKind: string
{
    case Temperature = 'temperature';
    case Difference = 'difference';
    case GaugePressure = 'gauge pressure';
    case AbsolutePressure = 'absolute pressure';
    case PressureDifference = 'pressure difference';
    case PressureRate = 'pressure rate';
    case DifferenceRate = 'temperature rate';
    case Altitude = 'altitude';
    case Mass = 'mass';
    case MassChange = 'amount added or recovered';
    case Volume = 'volume';
    case Length = 'length';
    case Bore = 'bore';
    case Current = 'current';
    case Voltage = 'voltage';
    case Power = 'power';
    case Density = 'density';
    case Frequency = 'frequency';
    case Turns = 'turns';
    case Duration = 'time';
    case Share = 'share';
    case Ratio = 'ratio';
    case Count = 'count';

    /** As a person calls it: "pressure". */
    public function noun(): string
    {
        return match ($this) {
            self::GaugePressure, self::AbsolutePressure => 'pressure',
            self::MassChange => 'mass',
            self::Altitude => 'height',
            self::Bore => 'diameter',
            self::Share => 'percentage',
            self::Turns, self::Count, self::Ratio => 'number',
            default => $this->value,
        };
    }

    /** @return list<Unit> units a person may type for this kind, the SI-near one first */
    public function units(): array
    {
        return match ($this) {
            self::Temperature => [Unit::Celsius, Unit::Fahrenheit, Unit::Kelvin],
            self::Difference => [Unit::KelvinDifference, Unit::FahrenheitDifference],
            self::GaugePressure => [
                Unit::Kilopascal,
                Unit::Bar,
                Unit::Psi,
                Unit::Megapascal,
                Unit::InchMercuryVacuum,
                Unit::KilogramForce,
            ],
            self::AbsolutePressure => [
                Unit::Kilopascal,
                Unit::Bar,
                Unit::Psi,
                Unit::Megapascal,
                Unit::Micron,
                Unit::Pascal,
                Unit::Millibar,
                Unit::InchMercury,
            ],
            self::PressureDifference => [Unit::Kilopascal, Unit::Bar, Unit::Psi, Unit::Millibar, Unit::Pascal],
            self::PressureRate => [Unit::KilopascalPerMinute, Unit::BarPerMinute, Unit::PsiPerMinute],
            self::DifferenceRate => [Unit::KelvinPerHour, Unit::FahrenheitPerHour],
            self::Altitude => [Unit::Metre, Unit::Foot],
            self::Mass, self::MassChange => [Unit::Kilogram, Unit::Gram, Unit::Pound, Unit::Ounce],
            self::Volume => [Unit::Litre, Unit::CubicMetre, Unit::CubicFoot],
            self::Length => [Unit::Metre, Unit::Foot],
            self::Bore => [Unit::Millimetre, Unit::Inch],
            self::Current => [Unit::Ampere],
            self::Voltage => [Unit::Volt],
            self::Power => [Unit::Watt, Unit::Kilowatt],
            self::Density => [Unit::KilogramPerCubicMetre],
            self::Frequency => [Unit::Hertz],
            self::Turns => [Unit::Turn],
            self::Duration => [Unit::Minute, Unit::Second, Unit::Hour],
            self::Share => [Unit::Percent],
            self::Count, self::Ratio => [Unit::One],
        };
    }

    /** The lowest value (SI) that can exist: absolute zero, absolute vacuum at sea level for a gauge, or null. */
    public function lowest(): ?float
    {
        return match ($this) {
            self::Temperature,
            self::AbsolutePressure,
            self::Mass,
            self::Volume,
            self::Length,
            self::Bore,
            self::Current,
            self::Voltage,
            self::Power,
            self::Density,
            self::Frequency,
            self::Share,
            self::Count,
            self::Duration => 0.0,
            self::GaugePressure => -Atmosphere::SEA_LEVEL,
            self::Altitude => -500.0,
            self::Difference,
            self::PressureDifference,
            self::PressureRate,
            self::DifferenceRate,
            self::MassChange,
            self::Turns,
            self::Ratio => null,
        };
    }
}
