<?php

declare(strict_types=1);

namespace Metrum\Work\Replacement;

/** For what something speaks. */
enum Leaning: string
{
    case Repair = 'repair';
    case Replacement = 'replacement';
    case Neither = 'neither';
    case NotKnown = 'not_known';

    public function label(): string
    {
        return match ($this) {
            self::Repair => 'repair',
            self::Replacement => 'replacement',
            self::Neither => 'neither',
            self::NotKnown => 'not known',
        };
    }
}
