<?php

declare(strict_types=1);

namespace Metrum\Installation;

/** By what the compressors of a group run. */
enum SuctionHold: string
{
    /** As what is cooled calls for it: its thermostat, or the pressure that follows from that. */
    case ByLoad = 'load';
    /** So that their suction pressure stays at what it is set to, whoever calls. */
    case ByPressure = 'pressure';
}
