<?php

namespace App\Records;

/** What a circuit can be looked for by, besides words. */
enum SearchState: string
{
    case Open = 'open';
    case Overdue = 'overdue';
    case Losing = 'losing';
    case Drifting = 'drifting';

    public function label(): string
    {
        return match ($this) {
            self::Open => 'Something open',
            self::Overdue => 'Follow-up overdue',
            self::Losing => 'Losing refrigerant',
            self::Drifting => 'Drifting',
        };
    }
}
