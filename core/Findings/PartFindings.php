<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Fault;
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
    use ReadAndSeen;

    /**
     * @param  array<string, float>  $readings  by key of Reading, SI; pressures in gauge Pa
     * @param  array<string, Word>  $observations  by key of Observation
     * @param  array<string, Word>  $tests  by key of Test
     * @param  list<Complaint>  $complaints
     * @param  list<Fault>  $confirmed
     * @param  list<Fault>  $ruledOut
     * @param  array<string, float>  $before  what was read before the last move and not since, SI by key
     */
    public function __construct(
        public array $readings = [],
        public array $observations = [],
        public array $tests = [],
        public ?State $state = null,
        public array $complaints = [],
        public array $confirmed = [],
        public array $ruledOut = [],
        public array $before = [],
    ) {
    }

    public function isEmpty(): bool
    {
        return $this->readings === [] &&
            $this->observations === [] &&
            $this->tests === [] &&
            $this->complaints === [];
    }

    /**
     * The same without some of its readings.
     *
     * @param  list<Reading>  $readings
     */
    public function without(array $readings): self
    {
        $keys = array_map(static fn (Reading $one): string => $one->value, $readings);

        return $this->but(readings: array_diff_key($this->readings, array_flip($keys)));
    }

    /** The same with what else was found, where it does not say it itself. */
    public function besides(self $other): self
    {
        return $this->but(
            readings: $this->readings + $other->readings,
            observations: $this->observations + $other->observations,
            tests: $this->tests + $other->tests,
            state: $this->state ?? $other->state,
            complaints: self::both($this->complaints, $other->complaints),
            confirmed: self::both($this->confirmed, $other->confirmed),
            ruledOut: self::both($this->ruledOut, $other->ruledOut),
            before: $this->before + $other->before,
        );
    }

    /**
     * @template T
     *
     * @param  list<T>  $one
     * @param  list<T>  $other
     * @return list<T>
     */
    private static function both(array $one, array $other): array
    {
        return array_values(array_unique([...$one, ...$other], SORT_REGULAR));
    }
}
