<?php

declare(strict_types=1);

namespace Metrum\Card;

/** How a clause holds a value against another. */
enum Comparison: string
{
    case Above = 'above';
    case Below = 'below';
    case Is = 'is';
    case IsNot = 'is_not';
    /** Whether it is known at all. */
    case Known = 'known';
}
