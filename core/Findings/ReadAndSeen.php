<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;

/**
 * Asks what was found for one thing of it.
 *
 * @property-read array<string, float> $readings  by key of Reading, SI; pressures in gauge Pa
 * @property-read array<string, Word> $observations  by key of Observation
 * @property-read array<string, Word> $tests  by key of Test
 */
trait ReadAndSeen
{
    /** SI value, gauge Pa for pressures; null where it was not measured. */
    public function reading(Reading $reading): ?float
    {
        return $this->readings[$reading->value] ?? null;
    }

    public function observed(Observation $observation): ?Word
    {
        return $this->observations[$observation->value] ?? null;
    }

    public function tested(Test $test): ?Word
    {
        return $this->tests[$test->value] ?? null;
    }

    public function saw(Observation $observation, Word ...$words): bool
    {
        return in_array($this->observed($observation), $words, true);
    }
}
