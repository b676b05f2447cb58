<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\Circuit;
use Metrum\Circuit\Condition;

/** What is true, false or not known of one plant in its weather. */
final readonly class Conditions
{
    public function __construct(private Circuit $circuit, private ?bool $cold)
    {
    }

    public function holds(Condition $condition): ?bool
    {
        return $condition->holds($this->circuit, $this->cold);
    }
}
