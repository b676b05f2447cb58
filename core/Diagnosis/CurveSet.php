<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\Sign;
use Metrum\Installation\Circuit;

/** Curves are learned apart for plants that settle and for ice machines, which freeze and harvest. */
enum CurveSet: string
{
    case Settling = 'curves';
    case Ice = 'ice-curves';

    public static function of(Circuit $circuit): self
    {
        return $circuit->makesBatches() ? self::Ice : self::Settling;
    }

    /** By which they are learned. */
    public function command(): string
    {
        return match ($this) {
            self::Settling => 'metrum:calibrate',
            self::Ice => 'metrum:calibrate-ice',
        };
    }

    /** Whether such a sign is learned for them. */
    public function has(Sign $sign): bool
    {
        return $this === self::Ice || ! in_array($sign, Sign::OF_ICE, true);
    }
}
