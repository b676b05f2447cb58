<?php

declare(strict_types=1);

namespace Metrum\Work\Record;

/** To which side a figure goes where a system wears, leaks or gets dirty. */
enum Worse: string
{
    case Up = 'up';
    case Down = 'down';
    case Either = 'either';

    /** Whether a change is for the worse. */
    public function is(float $change): bool
    {
        return match ($this) {
            self::Up => $change > 0.0,
            self::Down => $change < 0.0,
            self::Either => $change !== 0.0,
        };
    }
}
