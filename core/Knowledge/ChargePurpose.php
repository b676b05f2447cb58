<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

/** What refrigerant is moved for: only what made good a loss counts as leaked. */
enum ChargePurpose: string
{
    case Leak = 'leak';
    case Commissioning = 'commissioning';
    case Seasonal = 'seasonal';
    case Repair = 'repair';
    case Correction = 'correction';

    public function label(): string
    {
        return match ($this) {
            self::Leak => 'top-up after a leak',
            self::Commissioning => 'initial charge',
            self::Seasonal => 'winter charge',
            self::Repair => 'removed or returned for repair',
            self::Correction => 'charge correction',
        };
    }
}
