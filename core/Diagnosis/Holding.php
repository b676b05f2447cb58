<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\Mark;

/** How a condition stands. */
enum Holding
{
    case Holds;
    case Fails;
    case NotKnown;

    public function mark(): Mark
    {
        return match ($this) {
            self::Holds => Mark::Fine,
            self::NotKnown => Mark::Look,
            self::Fails => Mark::Act,
        };
    }
}
