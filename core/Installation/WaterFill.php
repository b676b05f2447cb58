<?php

declare(strict_types=1);

namespace Metrum\Installation;

/** How the sump of an ice machine gets its water: before the freeze, again during it, or by a float all the time. */
enum WaterFill: string
{
    case Once = 'once';
    case Refilled = 'refilled';
    case Float = 'float';

    public function label(): string
    {
        return match ($this) {
            self::Once => 'Once a cycle',
            self::Refilled => 'Refilled in the freeze',
            self::Float => 'Float valve',
        };
    }
}
