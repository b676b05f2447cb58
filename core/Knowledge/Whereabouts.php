<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

/** Where work is done. */
enum Whereabouts: string
{
    case Box = 'box';
    case Unit = 'unit';
    case Anywhere = 'anywhere';

    /** Where something is read or looked at. */
    public static function of(Asked $asked): self
    {
        $station = Station::tryFrom((string) array_key_first($asked->taking()->stations));

        return match ($station) {
            Station::Box => self::Box,
            Station::Unit, Station::Gauges => self::Unit,
            default => self::Anywhere,
        };
    }
}
