<?php

declare(strict_types=1);

namespace Metrum\Data;

use Metrum\Quantity\Unanswerable;

/** Words and figures that cannot be taken as they are; every reason with the path where it stands. */
final class Refused extends Unanswerable
{
    /** @param  non-empty-list<string>  $reasons  "path: reason" */
    public function __construct(public readonly array $reasons)
    {
        parent::__construct(implode("\n", $reasons));
    }
}
