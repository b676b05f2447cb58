<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

/** What a check is for. */
enum Purpose: string
{
    case TellApart = 'tell_apart';
    case Prove = 'prove';
    case FindCause = 'find_cause';

    /** Before the name of the check. */
    public function label(): string
    {
        return match ($this) {
            self::TellApart => 'Next check',
            self::Prove => 'Confirm by',
            self::FindCause => 'Find the cause',
        };
    }
}
