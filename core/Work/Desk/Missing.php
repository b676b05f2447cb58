<?php

declare(strict_types=1);

namespace Metrum\Work\Desk;

/** Why something is not proven yet. */
enum Missing
{
    case NotRead;
    /** Nothing was changed since either. */
    case NotReadYet;
    case ClockRuns;
    case NotReadAgain;
    /** The plant has not settled; the proof says by what. */
    case NotSettled;
    /** A regulator stands between the coil and where its pressure was read. */
    case NotAtCoil;
    case NotTimed;
    case NotDated;
}
