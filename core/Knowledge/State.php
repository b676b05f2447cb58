<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

/** What the plant was doing when it was read. Not given: settled is not certain. */
enum State: string
{
    case Starting = 'starting';
    case PullingDown = 'pulling_down';
    case RunningSettled = 'running_settled';
    case PumpingDown = 'pumping_down';
    case Off = 'off';
    case InDefrost = 'in_defrost';
    case AfterDefrost = 'after_defrost';

    public function label(): string
    {
        return $this === self::Starting ? 'Just started' : ucfirst(str_replace('_', ' ', $this->value));
    }

    /** Whether the compressor runs in this state. */
    public function runs(): bool
    {
        return match ($this) {
            self::Off, self::InDefrost => false,
            self::Starting,
            self::PullingDown,
            self::RunningSettled,
            self::PumpingDown,
            self::AfterDefrost => true,
        };
    }
}
