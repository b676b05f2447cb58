<?php

declare(strict_types=1);

namespace Metrum\Circuit;

/** What the owner says. */
enum Complaint: string
{
    case TooWarm = 'too_warm';
    case TooCold = 'too_cold';
    case RunsAllTheTime = 'runs_all_the_time';
    case ShortCycling = 'short_cycling';
    case NotRunning = 'not_running';
    case IcedUp = 'iced_up';
    case Noisy = 'noisy';
    case WaterLeak = 'water_leak';
    case LowProduction = 'low_production';
    case HighEnergy = 'high_energy';
    case Alarm = 'alarm';
    case None = 'none';

    /** Whether owners of such a plant say so: an ice machine has no box, and nothing else makes ice to sell. */
    public function isSaidOf(?Kind $kind): bool
    {
        return match ($this) {
            self::LowProduction => $kind === Kind::IceMachine,
            self::TooWarm, self::TooCold => $kind !== Kind::IceMachine,
            default => true,
        };
    }

    public function label(): string
    {
        return $this === self::None ? 'No complaint (routine)' : ucfirst(str_replace('_', ' ', $this->value));
    }
}
