<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Diagnosis\Grade;
use Metrum\Findings\Findings;
use Metrum\Knowledge\Cause;
use Metrum\Knowledge\Fault;

/** A visit to a simulated plant of which the truth is known. */
final readonly class Patient
{
    /**
     * @param  list<array{Fault, ?Cause, float}>  $ills  what is wrong, why, and how much (0 … 1); none: nothing is
     * @param  ?Grade  $grade  by what the first of them costs; null where nothing is wrong
     * @param  bool  $altered  built by other laws than the twin's
     */
    public function __construct(
        public Findings $findings,
        public array $ills,
        public ?Grade $grade,
        public bool $altered,
    ) {
    }

    public function fault(): Fault
    {
        return $this->ills[0][0] ?? Fault::NoFault;
    }

    public function cause(): ?Cause
    {
        return $this->ills[0][1] ?? null;
    }
}
