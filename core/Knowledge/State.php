<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

use Metrum\Installation\Circuit;
use Metrum\Installation\LoadKind;

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
    case Freezing = 'freezing';
    case Harvesting = 'harvesting';

    /** Whether such a plant can be in it: only a batch ice machine freezes and harvests, and none has a defrost. */
    public function isOf(Circuit $circuit): bool
    {
        $isIce = $circuit->cools(LoadKind::IceMachine);

        return match ($this) {
            self::Freezing, self::Harvesting => $circuit->makesBatches(),
            self::InDefrost, self::AfterDefrost, self::PullingDown => ! $isIce,
            self::Starting, self::RunningSettled, self::PumpingDown, self::Off => true,
        };
    }

    /** @return list<self> those that such a plant can be in */
    public static function at(Circuit $circuit): array
    {
        return array_values(array_filter(self::cases(), static fn (self $one): bool => $one->isOf($circuit)));
    }

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
            self::AfterDefrost,
            self::Freezing,
            self::Harvesting => true,
        };
    }
}
