<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use Metrum\Quantity\Copies;

/** What was found of one part of a plant: of what its circuits share, of a circuit, a case or a compressor. */
final readonly class PartFindings
{
    use Copies;

    /**
     * @param  array<string, float>  $readings  by key of Reading, SI; pressures in gauge Pa
     * @param  array<string, Word>  $observations  by key of Observation
     * @param  array<string, Word>  $tests  by key of Test
     * @param  list<Complaint>  $complaints
     */
    public function __construct(
        public array $readings = [],
        public array $observations = [],
        public array $tests = [],
        public ?State $state = null,
        public array $complaints = [],
    ) {
    }

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

    public function isEmpty(): bool
    {
        return $this->readings === [] &&
            $this->observations === [] &&
            $this->tests === [] &&
            $this->complaints === [];
    }

    /** The same with what else was found, where it does not say it itself. */
    public function besides(self $other): self
    {
        return $this->but(
            readings: $this->readings + $other->readings,
            observations: $this->observations + $other->observations,
            tests: $this->tests + $other->tests,
            state: $this->state ?? $other->state,
            complaints: array_values(array_unique([...$this->complaints, ...$other->complaints], SORT_REGULAR)),
        );
    }
}
