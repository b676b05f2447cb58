<?php

declare(strict_types=1);

namespace Metrum\Data;

use Metrum\Quantity\Unanswerable;

/** A file under data/ does not say what it must. The message names file and path. */
final class BrokenData extends Unanswerable
{
    public static function at(string $path, string $reason): self
    {
        return new self($path.': '.$reason);
    }
}
