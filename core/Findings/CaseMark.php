<?php

declare(strict_types=1);

namespace Metrum\Findings;

/** How a case is marked by its air over its set point. */
final readonly class CaseMark
{
    /** K over the set point from which a case is looked at, and from which something must be done. */
    public const LOOK = 1.5;

    private const ACT = 3.0;

    /**
     * A circuit that does not cool is never asked to act.
     *
     * @param  ?float  $over  K; null where its air was not read
     */
    public static function of(?float $over, bool $cools): Mark
    {
        return match (true) {
            $over === null || $over < self::LOOK => Mark::Fine,
            $over < self::ACT || ! $cools => Mark::Look,
            default => Mark::Act,
        };
    }
}
