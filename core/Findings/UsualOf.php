<?php

declare(strict_types=1);

namespace Metrum\Findings;

/** The design figure from which a usual one begins. */
enum UsualOf: string
{
    case Td = 'td';
    case Split = 'split';
    case Superheat = 'superheat';
    case Subcooling = 'subcooling';
    case Discharge = 'discharge';
}
