<?php

declare(strict_types=1);

namespace Metrum\Installation;

/** How the coil is defrosted. */
enum DefrostKind: string
{
    case None = 'none';
    case OffCycle = 'off_cycle';
    case Electric = 'electric';
    case HotGas = 'hot_gas';
    case Water = 'water';

    /** Whether something is heated for it that can fail to be. */
    public function isHeated(): bool
    {
        return match ($this) {
            self::Electric, self::HotGas, self::Water => true,
            self::None, self::OffCycle => false,
        };
    }

    public function isHotGas(): bool
    {
        return $this === self::HotGas;
    }

    public function label(): string
    {
        return match ($this) {
            self::None => 'None',
            self::OffCycle => 'Off-cycle (air)',
            self::Electric => 'Electric',
            self::HotGas => 'Hot gas',
            self::Water => 'Water',
        };
    }
}
