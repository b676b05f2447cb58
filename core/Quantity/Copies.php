<?php

declare(strict_types=1);

namespace Metrum\Quantity;

/**
 * How an immutable object is copied: the same, but for the properties named. Its constructor takes them by their
 * names.
 */
trait Copies
{
    /** @param  mixed  ...$changed  new values by property */
    private function but(mixed ...$changed): static
    {
        return (new \ReflectionClass(static::class))->newInstanceArgs([...get_object_vars($this), ...$changed]);
    }
}
