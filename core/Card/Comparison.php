<?php

declare(strict_types=1);

namespace Metrum\Card;

/** How a clause holds a value against another. */
enum Comparison: string
{
    case Above = 'above';
    case Below = 'below';
    /** Where standing right at the bound is as good as being past it: a mark that is reached. */
    case AtLeast = 'at_least';
    case Is = 'is';
    case IsNot = 'is_not';
    /** Whether it is known at all. */
    case Known = 'known';

    public function isOfAmounts(): bool
    {
        return in_array($this, [self::Above, self::Below, self::AtLeast], true);
    }
}
