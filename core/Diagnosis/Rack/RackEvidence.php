<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Rack;

use Metrum\Installation\PartId;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\Word;
use Metrum\Quantity\Copies;

/** One thing that was found at a plant of several circuits, and what it says of each fault. */
final readonly class RackEvidence
{
    use Copies;

    /**
     * @param  list<float>  $weights  nats by place of the fault
     * @param  ?float  $value  of the sign, SI
     * @param  ?PartId  $group  of several suction groups, the one at which it was found
     */
    public function __construct(
        public array $weights,
        public ?RackSign $sign = null,
        public ?float $value = null,
        public ?Question $asked = null,
        public ?Word $word = null,
        public ?Complaint $complaint = null,
        public ?Fault $confirmed = null,
        public ?PartId $group = null,
    ) {
    }

    /**
     * The same where it says something else.
     *
     * @param  list<float>  $weights  nats by place of the fault
     */
    public function weighing(array $weights, ?PartId $group = null): self
    {
        return $this->but(weights: $weights, group: $group);
    }
}
