<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Rack;

/** Whether the receiver takes the whole charge when the plant is pumped down. kg. */
final readonly class RackPumpDown
{
    /**
     * @param  float  $holds  at 80 % on a warm day
     * @param  float  $charge  of the whole plant, as planned
     */
    public function __construct(public float $holds, public float $charge)
    {
    }

    public function isFitting(): bool
    {
        return $this->charge <= $this->holds;
    }
}
