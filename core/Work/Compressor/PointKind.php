<?php

declare(strict_types=1);

namespace Metrum\Work\Compressor;

/** When a compressor runs where it runs. */
enum PointKind: string
{
    case Before = 'before';
    case Now = 'now';
    case PumpDown = 'pump_down';
    case Proposed = 'proposed';
    case Tried = 'tried';
    case Coldest = 'coldest';
    case Hottest = 'hottest';
    case FreezeBegin = 'freeze_begin';
    case FreezeEnd = 'freeze_end';

    /** Whether it was read, and not foretold by the twin. */
    public function isRead(): bool
    {
        return $this === self::Before || $this === self::Now;
    }

    public function label(): string
    {
        return match ($this) {
            self::Before => 'Before the last change',
            self::Now => 'Now',
            self::PumpDown => 'End of pump-down',
            self::Proposed => 'Cut-out as proposed',
            self::Tried => 'As tried',
            self::Coldest => 'Coldest day',
            self::Hottest => 'Hottest day',
            self::FreezeBegin => 'Start of freeze',
            self::FreezeEnd => 'End of freeze',
        };
    }
}
