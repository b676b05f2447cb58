<?php

declare(strict_types=1);

namespace Metrum\Work\Desk;

/** What is next for a control. */
enum NextStep
{
    /** A move is proposed. */
    case Move;
    /** What it is made for is where it should be. */
    case Leave;
    /** Its last two moves did nothing. */
    case Stop;
    /** Nothing can be said: something is not read, or something else comes first. */
    case Unknown;
}
