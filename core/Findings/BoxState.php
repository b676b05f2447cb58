<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Installation\DesignKey;
use Metrum\Installation\LoadKind;
use Metrum\Knowledge\Reading;

/** Where a box stands beside what it is set to, or what is usual for its kind. An ice machine has no box. */
final class BoxState
{
    /** K above its set point from which a box calls for cooling, and up to which it is content. */
    private const CALLING = 2.0;

    private const CONTENT = 1.0;

    /** K; null where it is not known. */
    public static function above(Findings $findings): ?float
    {
        $circuit = $findings->circuit;
        $box = $findings->reading(Reading::BoxTemperature);
        $set = $circuit->design->boxSetPoint ?? $circuit->kind?->usual()->value(DesignKey::BoxSetPoint);

        return $box === null || $set === null || $circuit->cools(LoadKind::IceMachine) ? null : $box - $set;
    }

    /** Whether it calls for cooling by its own set point; null where that is not known. */
    public static function calls(Findings $findings): ?bool
    {
        return self::isKnown($findings) ? self::above($findings) > self::CALLING : null;
    }

    /** Whether it has what it is set to, so that it rightly stands. */
    public static function isContent(Findings $findings): ?bool
    {
        return self::isKnown($findings) ? self::above($findings) < self::CONTENT : null;
    }

    private static function isKnown(Findings $findings): bool
    {
        return $findings->circuit->design->boxSetPoint !== null && self::above($findings) !== null;
    }
}
