<?php

declare(strict_types=1);

namespace Metrum\Installation;

/** How and where the condenser gives off heat. */
enum CondenserPlace: string
{
    case AirIndoor = 'air_indoor';
    case AirOutdoor = 'air_outdoor';
    case Water = 'water';

    public function label(): string
    {
        return match ($this) {
            self::AirIndoor => 'Air-cooled, indoors',
            self::AirOutdoor => 'Air-cooled, outdoors',
            self::Water => 'Water-cooled',
        };
    }
}
