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
        return match (Station::of($asked)) {
            Station::Box => self::Box,
            Station::Unit, Station::Gauges => self::Unit,
            Station::Complaint,
            Station::Verdict,
            Station::PutRight,
            Station::Prove,
            Station::Leave => self::Anywhere,
        };
    }
}
