<?php

declare(strict_types=1);

namespace Metrum\Installation;

/** Whether a unit is within its first weeks: then debris and settings come first, and a warranty runs. */
enum PlantAge: string
{
    case New = 'new';
    case InService = 'in_service';

    public function label(): string
    {
        return match ($this) {
            self::New => 'New (first weeks)',
            self::InService => 'In service',
        };
    }
}
