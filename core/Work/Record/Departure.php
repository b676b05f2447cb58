<?php

declare(strict_types=1);

namespace Metrum\Work\Record;

/** A figure as it was read, and what the twin expected there and then. SI. */
final readonly class Departure
{
    /** @param  float  $deviation  of what was expected: system not known, and instruments */
    public function __construct(public float $value, public float $expected, public float $deviation)
    {
    }

    public function distance(): float
    {
        return $this->value - $this->expected;
    }
}
