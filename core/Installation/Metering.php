<?php

declare(strict_types=1);

namespace Metrum\Installation;

/** What feeds the coil. */
enum Metering: string
{
    case Txv = 'txv';
    case Eev = 'eev';
    case Capillary = 'capillary';

    public function label(): string
    {
        return match ($this) {
            self::Txv => 'Thermostatic expansion valve',
            self::Eev => 'Electronic expansion valve',
            self::Capillary => 'Capillary tube',
        };
    }
}
