<?php

declare(strict_types=1);

namespace Metrum\Learning\Rack;

use Metrum\Installation\Branch;
use Metrum\Installation\Installation;
use Metrum\Knowledge\State;
use Metrum\Twin\Rack\CircuitState;
use Metrum\Twin\Rack\RackIll;
use Metrum\Twin\Rack\RackState;

/** One circuit of a drawn rack as it is met. */
final readonly class CircuitVisit
{
    /**
     * @param  Branch  $branch  as it is known
     * @param  Installation  $plant  as it is
     * @param  State  $state  what it does
     * @param  ?State  $told  what is said that it does
     * @param  float  $often  how much of it is read, 0 … 1
     * @param  bool  $isShut  its solenoid does not open
     */
    public function __construct(
        public Branch $branch,
        public Installation $plant,
        public RackState $now,
        public RackIll $ill,
        public State $state,
        public ?State $told,
        public float $often,
        public bool $isShut,
    ) {
    }

    public function circuit(): CircuitState
    {
        return $this->now->circuits[$this->branch->part->value];
    }

    public function isIll(): bool
    {
        return $this->ill->isOf($this->branch->part);
    }

    /** K; as it really is set. */
    public function setPoint(): float
    {
        return (float) $this->plant->branch($this->branch->part)?->load->setPoint;
    }
}
