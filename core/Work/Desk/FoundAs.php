<?php

declare(strict_types=1);

namespace Metrum\Work\Desk;

/** How a plant was found, as far as can be said of it to its owner. */
enum FoundAs
{
    case Proven;
    case NotLookedAt;
    /** Nothing leads, and what is likeliest is that nothing is wrong. */
    case NothingSeen;
    case Uncertain;
    case Sure;
    case Likely;
}
