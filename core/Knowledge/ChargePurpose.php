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
            self::Leak => 'lost refrigerant made good',
            self::Commissioning => 'first charge',
            self::Seasonal => 'winter charge',
            self::Repair => 'out for a repair, or back after it',
            self::Correction => 'too much or too little put right',
        };
    }
}
