<?php

declare(strict_types=1);

namespace Metrum\Bench;

/** How many things an input holds. */
enum Shape
{
    case One;
    /** Several of one kind, in order. */
    case Series;
    /** Rows of several things each. */
    case Table;
    /** The name of a refrigerant. */
    case Refrigerant;
}
