<?php

declare(strict_types=1);

namespace Metrum\Installation;

use Metrum\Quantity\Field;

/** A design value that only a plant of several circuits has; as it stands in files. */
enum RackKey: string
{
    case SuctionSaturated = 'suction_saturated_c';
    case LevelReference = 'level_reference_percent';
    case LevelReferenceAmbient = 'level_reference_ambient_c';
    case ReclaimVolume = 'reclaim_volume_l';
    case LiquidLinesVolume = 'liquid_lines_volume_l';
    case CoilVolume = 'coil_volume_l';
    case SuctionDrop = 'suction_drop_k';

    /** Whether it belongs to what circuits of one plant share. */
    public function isShared(): bool
    {
        return match ($this) {
            self::SuctionSaturated,
            self::LevelReference,
            self::LevelReferenceAmbient,
            self::ReclaimVolume,
            self::LiquidLinesVolume => true,
            self::CoilVolume, self::SuctionDrop => false,
        };
    }

    public function field(): Field
    {
        return DesignKey::fieldOf($this->value);
    }

    /** @return list<string> of what the circuits of a plant share, or of what each has for itself */
    public static function named(bool $shared): array
    {
        $keys = array_filter(self::cases(), static fn (self $key): bool => $key->isShared() === $shared);

        return array_column($keys, 'value');
    }
}
