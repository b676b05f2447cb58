<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Log\Fact;

/** A stretch of a visit between two changes of the plant: what was found in it. The first is as found. */
final readonly class Chapter
{
    /** @param  ?Fact  $began  the fact that changed the plant; null for the first */
    public function __construct(public int $number, public ?Fact $began, public Findings $findings)
    {
    }
}
