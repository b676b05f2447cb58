<?php

declare(strict_types=1);

namespace Metrum\Work\Leaks;

/** The air where a leak is searched: what it takes from detector and bubbles. */
enum Air: string
{
    case Calm = 'calm';
    case Wind = 'wind';
    case Rain = 'rain';
    case Foam = 'foam';

    /** Share of its chance that a detector keeps. */
    public function detector(): float
    {
        return match ($this) {
            self::Calm => 1.0,
            self::Wind => 0.5,
            self::Rain => 0.75,
            self::Foam => 0.85,
        };
    }

    /** The same of bubbles. */
    public function bubbles(): float
    {
        return match ($this) {
            self::Calm, self::Foam => 1.0,
            self::Wind => 0.9,
            self::Rain => 0.5,
        };
    }

    /** How often a detector speaks where nothing leaks: of foam and solvents often. */
    public function falseAlarm(): float
    {
        return match ($this) {
            self::Foam => 0.3,
            self::Calm, self::Wind, self::Rain => 0.08,
        };
    }
}
