<?php

declare(strict_types=1);

namespace Metrum\Learning\Rack;

use Metrum\Findings\RackFindings;
use Metrum\Knowledge\Fault;
use Metrum\Twin\Rack\RackIll;

/** A visit to a drawn rack of which the truth is known. */
final readonly class RackPatient
{
    /**
     * @param  Fault  $ofPlant  what is wrong with what all circuits share
     * @param  RackIll  $ofCircuit  what is wrong at one of them
     * @param  list<string>  $wellRead  circuits that were well read, by part
     */
    public function __construct(
        public RackFindings $findings,
        public Fault $ofPlant,
        public RackIll $ofCircuit,
        public array $wellRead,
    ) {
    }
}
