<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

/** What a compressor was stopped by, among the words that say how it is found. */
enum CompressorStop: string
{
    case LowPressure = 'off_on_low_pressure';
    case HighPressure = 'off_on_high_pressure';
    case Overload = 'off_on_overload';
    case Oil = 'off_on_oil';
    case Thermostat = 'off_on_thermostat';
    case NoStart = 'will_not_start';

    /** Whether a safety control stopped it, or it does not start at all: that the low pressure switch cuts is usual. */
    public function isTrip(): bool
    {
        return match ($this) {
            self::HighPressure, self::Overload, self::Oil, self::NoStart => true,
            self::LowPressure, self::Thermostat => false,
        };
    }

    /** Whether it stays a finding of the visit once it runs again: all but what the thermostat wants. */
    public function isRemembered(): bool
    {
        return match ($this) {
            self::LowPressure, self::HighPressure, self::Overload, self::Oil, self::NoStart => true,
            self::Thermostat => false,
        };
    }
}
