<?php

namespace App\Models;

/** What an owner says to one of their choices. */
enum DecisionWord: string
{
    case Accepted = 'accepted';
    case Refused = 'refused';
    case Later = 'later';

    public function label(): string
    {
        return match ($this) {
            self::Accepted => 'Accepted',
            self::Refused => 'Refused',
            self::Later => 'Decide later',
        };
    }
}
