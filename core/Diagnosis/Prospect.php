<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Knowledge\Fault;

/** How likely an outcome is, and the fault that it would put first. */
final readonly class Prospect
{
    public function __construct(public float $chance, public Fault $leads, public float $probability)
    {
    }
}
