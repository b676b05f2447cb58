<?php

declare(strict_types=1);

namespace Metrum\Work\Leaks;

/** What became of a leak at a visit. */
enum LeakEnd
{
    case Mended;
    /** Mended, and it leaks still. */
    case Still;
    /** Found, and not mended yet. */
    case Found;
    /** Suspected where nobody could reach. */
    case Unproven;
    /** Searched for, and none found. */
    case NotFound;
}
