<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\Condition;

/** How many times likelier a fault is where a condition holds, does not hold, or is not known to. */
final readonly class PriorScale
{
    public function __construct(
        public Condition $condition,
        private float $true,
        private float $false,
        private float $unknown,
    ) {
    }

    public function times(?bool $holds): float
    {
        return match ($holds) {
            true => $this->true,
            false => $this->false,
            null => $this->unknown,
        };
    }
}
