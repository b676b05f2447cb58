<?php

declare(strict_types=1);

namespace Metrum\Learning\Rack;

use Metrum\Installation\Branch;
use Metrum\Installation\Installation;
use Metrum\Knowledge\State;
use Metrum\Twin\Rack\CaseState;
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

    /** Whether what is wrong is at that coil. */
    public function isSickAt(int $place): bool
    {
        return $this->isIll() && ($this->ill->coil < 0 || $this->ill->coil === $place);
    }

    /** The case at that coil; null where the circuit does not cool. */
    public function caseAt(int $place): ?CaseState
    {
        $cases = $this->circuit()->cases;

        return $this->isSickAt($place) || count($cases) < 2 ? $cases[0] ?? null : $cases[1];
    }

    /** K; as it really is set. */
    public function setPoint(): float
    {
        return (float) $this->plant->branch($this->branch->part)?->load->setPoint;
    }
}
