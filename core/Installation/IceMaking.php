<?php

declare(strict_types=1);

namespace Metrum\Installation;

/** How an ice machine makes ice. */
enum IceMaking: string
{
    case Batch = 'batch';
    case Continuous = 'continuous';

    public function label(): string
    {
        return match ($this) {
            self::Batch => 'Batch (cubes)',
            self::Continuous => 'Continuous (flakes)',
        };
    }
}
