<?php

declare(strict_types=1);

namespace Metrum\Exchange;

/** A visit file that cannot be taken as it is; every reason with the path where it stands. */
final class RefusedFile extends \InvalidArgumentException
{
    /** @param  non-empty-list<string>  $reasons  "path: reason" */
    public function __construct(public readonly array $reasons)
    {
        parent::__construct(implode("\n", $reasons));
    }
}
