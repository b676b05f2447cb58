<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\Sign;
use Metrum\Twin\Expected;

/** One sign as it was measured, beside what a healthy plant would show. SI. */
final readonly class Signal
{
    public function __construct(public Sign $sign, public float $measured, public Expected $expected)
    {
    }

    /** Measured less expected, in deviations of a healthy plant. */
    public function deviations(): float
    {
        return ($this->measured - $this->expected->value) / $this->expected->deviation;
    }
}
