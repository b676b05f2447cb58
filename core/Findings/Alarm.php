<?php

declare(strict_types=1);

namespace Metrum\Findings;

/** On which side a sign, beyond doubt, is never a sound plant's. */
enum Alarm: string
{
    case High = 'high';
    case Low = 'low';
    case None = 'none';

    /** Deviations by which it is beyond what is expected, to the side that alarms; 0 on the other. */
    public function beyond(float $deviations): float
    {
        return match ($this) {
            self::High => max(0.0, $deviations),
            self::Low => max(0.0, -$deviations),
            self::None => 0.0,
        };
    }
}
