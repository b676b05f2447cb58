<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Rack;

use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\Word;

/** One thing that was found at a plant of several circuits, and what it says of each fault. */
final readonly class RackEvidence
{
    /**
     * @param  list<float>  $weights  nats by place of the fault
     * @param  ?float  $value  of the sign, SI
     */
    public function __construct(
        public array $weights,
        public ?RackSign $sign = null,
        public ?float $value = null,
        public ?Question $asked = null,
        public ?Word $word = null,
        public ?Complaint $complaint = null,
        public ?Fault $confirmed = null,
    ) {
    }
}
