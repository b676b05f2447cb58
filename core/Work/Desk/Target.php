<?php

declare(strict_types=1);

namespace Metrum\Work\Desk;

/** What proves that a plant is right again (P-03). */
enum Target
{
    case Box;
    case CoilSuperheat;
    case CompressorSuperheat;
    case Subcooling;
    case CoilDifference;
    case Settled;
    case PullDown;
    case PutBack;
    case NothingTouched;
    /** What only defrosts and days prove. */
    case SecondLook;
}
