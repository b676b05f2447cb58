<?php

declare(strict_types=1);

namespace Metrum\Log;

/** A region of a visit's page that can grow stale. */
enum Region
{
    case Verdict;
    case Walk;
    case Course;
    case Hints;
    /** Strip, card, clocks and what was touched. */
    case Work;
}
