<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Log\Fact;

/** What one entry made of the ranking. */
final readonly class PathStep
{
    /**
     * @param  ?Fact  $fact  null: before anything was entered
     * @param  array<string, float>  $probabilities  by Fault, highest first
     */
    public function __construct(public ?Fact $fact, public array $probabilities)
    {
    }
}
