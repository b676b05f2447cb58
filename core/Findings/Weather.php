<?php

declare(strict_types=1);

namespace Metrum\Findings;

/** What the air entering the condenser has to do with a sign. */
enum Weather: string
{
    case Apart = 'apart';
    case Helps = 'helps';
    case Needed = 'needed';
}
