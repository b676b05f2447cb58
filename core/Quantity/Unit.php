<?php

declare(strict_types=1);

namespace Metrum\Quantity;

/** A unit of measure: its symbol, how people write it, and how it turns into SI. The only place that knows a factor. */
enum Unit: string
{
    case Celsius = 'c';
    case Fahrenheit = 'f';
    case Kelvin = 'k_abs';
    case KelvinDifference = 'k';
    case FahrenheitDifference = 'f_diff';
    case Pascal = 'pa';
    case Kilopascal = 'kpa';
    case Megapascal = 'mpa';
    case Bar = 'bar';
    case Millibar = 'mbar';
    case Psi = 'psi';
    case KilogramForce = 'kgf';
    case InchMercury = 'inhg';
    case InchMercuryVacuum = 'inhg_vac';
    case Micron = 'micron';
    case KilopascalPerMinute = 'kpa_per_min';
    case BarPerMinute = 'bar_per_min';
    case PsiPerMinute = 'psi_per_min';
    case KelvinPerHour = 'k_per_h';
    case FahrenheitPerHour = 'f_per_h';
    case Metre = 'm';
    case Foot = 'ft';
    case Millimetre = 'mm';
    case Inch = 'in';
    case Kilogram = 'kg';
    case Gram = 'g';
    case Pound = 'lb';
    case Ounce = 'oz';
    case Litre = 'l';
    case CubicMetre = 'm3';
    case CubicFoot = 'ft3';
    case Ampere = 'a';
    case Volt = 'v';
    case Watt = 'w';
    case Kilowatt = 'kw';
    case KilogramPerCubicMetre = 'kg_m3';
    case Hertz = 'hz';
    case Turn = 'turn';
    case Second = 's';
    case Minute = 'min';
    case Hour = 'h';
    case Percent = 'percent';
    case One = 'one';

    /** SI value = value × factor + offset. Pressures: Pa; a gauge stays a gauge, vacuum counts downward. */
    private function factor(): float
    {
        return match ($this) {
            self::Fahrenheit, self::FahrenheitDifference => 5 / 9,
            self::FahrenheitPerHour => 5 / 9 / 3600,
            self::KelvinPerHour => 1 / 3600,
            self::Kilopascal, self::Kilowatt => 1e3,
            self::Megapascal => 1e6,
            self::Bar => 1e5,
            self::Millibar => 100.0,
            self::Psi => 6894.757293168,
            self::KilogramForce => 98066.5,
            self::InchMercury => 3386.389,
            self::InchMercuryVacuum => -3386.389,
            self::Micron => 0.1333224,
            self::KilopascalPerMinute => 1e3 / 60,
            self::BarPerMinute => 1e5 / 60,
            self::PsiPerMinute => 6894.757293168 / 60,
            self::Foot => 0.3048,
            self::Inch => 0.0254,
            self::Gram, self::Litre, self::Millimetre => 1e-3,
            self::Pound => 0.45359237,
            self::Ounce => 0.45359237 / 16,
            self::CubicFoot => 0.3048 ** 3,
            self::Minute => 60.0,
            self::Hour => 3600.0,
            self::Percent => 0.01,
            self::Celsius,
            self::Kelvin,
            self::KelvinDifference,
            self::Pascal,
            self::Metre,
            self::Kilogram,
            self::CubicMetre,
            self::Ampere,
            self::Volt,
            self::Watt,
            self::KilogramPerCubicMetre,
            self::Hertz,
            self::Turn,
            self::Second,
            self::One => 1.0,
        };
    }

    private function offset(): float
    {
        $isScale = $this === self::Celsius || $this === self::Fahrenheit;

        return $isScale ? 273.15 - ($this === self::Fahrenheit ? (32 * 5) / 9 : 0.0) : 0.0;
    }

    public function toSi(float $value): float
    {
        return $value * $this->factor() + $this->offset();
    }

    public function fromSi(float $si): float
    {
        return ($si - $this->offset()) / $this->factor();
    }

    /** How fast a pressure in this unit changes: rates are told in kPa where it has none of its own. */
    public function perMinute(): self
    {
        $own = [
            self::Psi->value => self::PsiPerMinute,
            self::Bar->value => self::BarPerMinute,
        ];

        return $own[$this->value] ?? self::KilopascalPerMinute;
    }

    public function symbol(): string
    {
        return match ($this) {
            self::Celsius => '°C',
            self::Fahrenheit => '°F',
            self::Kelvin, self::KelvinDifference => 'K',
            self::FahrenheitDifference => '°F diff.',
            self::Kilopascal => 'kPa',
            self::Megapascal => 'MPa',
            self::Pascal => 'Pa',
            self::KilogramForce => 'kgf/cm²',
            self::InchMercury => 'inHg',
            self::InchMercuryVacuum => 'inHg vac.',
            self::Micron => 'µm',
            self::KilopascalPerMinute => 'kPa/min',
            self::BarPerMinute => 'bar/min',
            self::PsiPerMinute => 'psi/min',
            self::KelvinPerHour => 'K/h',
            self::FahrenheitPerHour => '°F/h',
            self::CubicMetre => 'm³',
            self::CubicFoot => 'ft³',
            self::Ampere => 'A',
            self::Volt => 'V',
            self::Watt => 'W',
            self::Kilowatt => 'kW',
            self::KilogramPerCubicMetre => 'kg/m³',
            self::Hertz => 'Hz',
            self::Turn => 'turns',
            self::Percent => '%',
            self::One => '',
            default => $this->value,
        };
    }

    /** Decimals that a technician's instrument can stand behind in this unit. */
    public function decimals(): int
    {
        return match ($this) {
            self::Bar,
            self::Megapascal,
            self::KilogramForce,
            self::BarPerMinute,
            self::Kilogram,
            self::Pound,
            self::Turn,
            self::Inch => 2,
            self::Kilopascal,
            self::Micron,
            self::Pascal,
            self::Millibar,
            self::Metre,
            self::Foot,
            self::Gram,
            self::Volt,
            self::Watt,
            self::Percent,
            self::One,
            self::Second => 0,
            self::Celsius,
            self::Fahrenheit,
            self::Kelvin,
            self::KelvinDifference,
            self::FahrenheitDifference,
            self::Psi,
            self::InchMercury,
            self::InchMercuryVacuum,
            self::KilopascalPerMinute,
            self::PsiPerMinute,
            self::KelvinPerHour,
            self::FahrenheitPerHour,
            self::Millimetre,
            self::Ounce,
            self::Litre,
            self::CubicMetre,
            self::CubicFoot,
            self::Ampere,
            self::Kilowatt,
            self::KilogramPerCubicMetre,
            self::Hertz,
            self::Minute,
            self::Hour => 1,
        };
    }

    /** @return list<string> spellings accepted after a number, lower case, without blanks or degree signs */
    public function spellings(): array
    {
        return match ($this) {
            self::Celsius => ['c', 'celsius', 'degc', 'deg'],
            self::Fahrenheit, self::FahrenheitDifference => ['f', 'fahrenheit', 'degf', 'fdiff', 'fdiff.', 'r'],
            self::Kelvin, self::KelvinDifference => ['k', 'kelvin', 'c', 'deg', 'degc'],
            self::Pascal => ['pa', 'paabs'],
            self::Kilopascal => ['kpa', 'kpag', 'kpaabs'],
            self::Megapascal => ['mpa', 'mpag'],
            self::Bar => ['bar', 'barg', 'b', 'bars', 'barabs', 'bara'],
            self::Millibar => ['mbar', 'hpa'],
            self::Psi => ['psi', 'psig', 'psia', 'lb', 'lbs', 'pounds', '#'],
            self::KilogramForce => ['kgf', 'kgf/cm2', 'kgf/cm²', 'kg/cm2', 'kg/cm²', 'kg'],
            self::InchMercury => ['inhg', 'inhgabs'],
            self::InchMercuryVacuum => [
                'inhg',
                '"hg',
                '"',
                '"vac',
                'inhgvac',
                'inhgvac.',
                '"hgvac',
                'hg',
                'inches',
                'inch',
                'in',
                'vac',
                'vacuum',
            ],
            self::Micron => ['micron', 'microns', 'µm', 'μm', 'um', 'µ', 'mtorr'],
            self::KilopascalPerMinute => ['kpa/min', 'kpa', 'kpapermin'],
            self::BarPerMinute => ['bar/min', 'bar'],
            self::PsiPerMinute => ['psi/min', 'psi'],
            self::KelvinPerHour => ['k/h', 'k', 'c/h', 'k/hour'],
            self::FahrenheitPerHour => ['f/h', 'f', 'f/hour'],
            self::Metre => ['m', 'metre', 'metres', 'meter', 'meters'],
            self::Foot => ['ft', 'foot', 'feet', "'"],
            self::Millimetre => ['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters'],
            self::Inch => ['in', 'inch', 'inches', '"'],
            self::Kilogram => ['kg', 'kilo', 'kilos'],
            self::Gram => ['g', 'gram', 'grams'],
            self::Pound => ['lb', 'lbs', 'pound', 'pounds', '#'],
            self::Ounce => ['oz', 'ounce', 'ounces'],
            self::Litre => ['l', 'litre', 'litres', 'liter', 'liters', 'dm3', 'dm³'],
            self::CubicMetre => ['m3', 'm³'],
            self::CubicFoot => ['ft3', 'ft³', 'cuft'],
            self::Ampere => ['a', 'amp', 'amps', 'ampere'],
            self::Volt => ['v', 'volt', 'volts'],
            self::Watt => ['w', 'watt', 'watts'],
            self::Kilowatt => ['kw'],
            self::KilogramPerCubicMetre => ['kg/m3', 'kg/m³'],
            self::Hertz => ['hz'],
            self::Turn => ['turn', 'turns', 'rev', 'in', 'out'],
            self::Second => ['s', 'sec', 'secs', 'seconds', 'second'],
            self::Minute => ['min', 'mins', 'minute', 'minutes', 'm', "'"],
            self::Hour => ['h', 'hr', 'hrs', 'hour', 'hours'],
            self::Percent => ['%', 'percent', 'pct'],
            self::One => ['', 'fans', 'pcs'],
        };
    }
}
