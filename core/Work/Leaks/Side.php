<?php

declare(strict_types=1);

namespace Metrum\Work\Leaks;

/** On which side of the circuit a place is. */
enum Side: string
{
    case Low = 'low';
    case High = 'high';
    case Both = 'both';
}
