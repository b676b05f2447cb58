<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

/** How surely an answer is had: by eye and test, or by hand, ear and judgement. */
enum Look: string
{
    /** Plain to see, or proved by a test: a fan stands, a door is open, a heater has one leg. */
    case Plain = 'plain';

    /** Felt, heard or judged: a sound, a pattern of frost, a warm pipe, "dirty". */
    case JudgedVisit = 'judged';

    /** Share of answers that are wrong words. */
    public function slip(): float
    {
        return match ($this) {
            self::Plain => 0.015,
            self::JudgedVisit => 0.08,
        };
    }
}
