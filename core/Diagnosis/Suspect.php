<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Knowledge\Fault;

/** A fault in the ranking, with what speaks for and against it. */
final readonly class Suspect
{
    /**
     * @param  float  $probability  0 … 1
     * @param  list<array{Evidence, float}>  $speaksFor  heaviest first, weight in nats
     * @param  list<array{Evidence, float}>  $speaksAgainst  heaviest first, weight in nats below 0
     * @param  ?Grade  $grade  how marked it is, where it is the fault; null where that is not told
     * @param  ?array{CauseEntry, float}  $cause  what lies behind it, and how likely; null where nothing tells
     */
    public function __construct(
        public Fault $fault,
        public float $probability,
        public array $speaksFor = [],
        public array $speaksAgainst = [],
        public ?Grade $grade = null,
        public ?array $cause = null,
    ) {
    }

    public function sureness(): Sureness
    {
        return Sureness::of($this->probability);
    }

    public function entry(): FaultEntry
    {
        return FaultCatalogue::entry($this->fault);
    }
}
