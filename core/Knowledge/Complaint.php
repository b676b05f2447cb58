<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

use Metrum\Data\Knowledge;
use Metrum\Installation\Kind;
use Metrum\Installation\LoadKind;

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
    case PoorIce = 'poor_ice';
    case IceStaysOn = 'ice_stays_on';
    case HighEnergy = 'high_energy';
    case Alarm = 'alarm';
    case None = 'none';

    /** Whether owners of such a plant say so: an ice machine has no box, and nothing else makes ice to sell. */
    public function isSaidOf(?Kind $kind): bool
    {
        return match ($this) {
            self::LowProduction,
            self::PoorIce,
            self::IceStaysOn => $kind?->load() === LoadKind::IceMachine,
            self::TooWarm, self::TooCold => $kind?->load() !== LoadKind::IceMachine,
            self::RunsAllTheTime,
            self::ShortCycling,
            self::NotRunning,
            self::IcedUp,
            self::Noisy,
            self::WaterLeak,
            self::HighEnergy,
            self::Alarm,
            self::None => true,
        };
    }

    /** @return list<Asked> what a skilled hand looks at first where it is heard, in that order */
    public function looks(): array
    {
        $file = Knowledge::file('complaints')->row('looks');

        return array_map(
            fn (string $key): Asked => Observation::tryFrom($key) ??
                (Test::tryFrom($key) ?? (Reading::tryFrom($key) ?? throw $file->broken($this->value, $key))),
            $file->texts($this->value),
        );
    }

    public function label(): string
    {
        return match ($this) {
            self::None => 'None (routine visit)',
            self::LowProduction => 'Low ice production',
            self::PoorIce => 'Poor ice (soft, cloudy, small)',
            self::IceStaysOn => 'Ice stays on the plate',
            self::HighEnergy => 'High energy use',
            default => ucfirst(str_replace('_', ' ', $this->value)),
        };
    }
}
