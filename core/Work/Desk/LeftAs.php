<?php

declare(strict_types=1);

namespace Metrum\Work\Desk;

/** How a plant was left after something was moved. */
enum LeftAs
{
    case NotReadAgain;
    case Sound;
    /** Sound by its verdict, and a target is missed still. */
    case SoundButMissed;
    /** Nothing points to a fault, and nothing leads. */
    case NoFaultSeen;
    case StillWrong;
    case Unknown;
}
