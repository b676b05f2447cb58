<?php

declare(strict_types=1);

namespace Metrum\Log;

/** Who or what made a fact. */
enum Source: string
{
    case Hand = 'hand';
    case Probe = 'probe';
    case Import = 'import';
    case Simulator = 'simulator';
}
