<?php

declare(strict_types=1);

namespace Metrum\Learning\Rack;

use Metrum\Findings\RackFindings;
use Metrum\Twin\Rack\RackIll;

/** A visit to a drawn rack of which the truth is known. */
final readonly class RackPatient
{
    /** @param  list<string>  $wellRead  circuits that were well read, by part */
    public function __construct(
        public RackFindings $findings,
        public RackIll $ill,
        public array $wellRead,
    ) {
    }
}
