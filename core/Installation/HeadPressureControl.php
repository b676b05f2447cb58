<?php

declare(strict_types=1);

namespace Metrum\Installation;

/** What holds the head up in the cold. */
enum HeadPressureControl: string
{
    case None = 'none';
    case FanCycling = 'fan_cycling';
    case FanSpeed = 'fan_speed';
    case FloodingValve = 'flooding_valve';
    case WaterValve = 'water_valve';

    public function isFitted(): bool
    {
        return $this !== self::None;
    }

    public function label(): string
    {
        return match ($this) {
            self::None => 'None',
            self::FanCycling => 'Fan cycling',
            self::FanSpeed => 'Fan speed',
            self::FloodingValve => 'Flooding valve',
            self::WaterValve => 'Water regulating valve',
        };
    }
}
