<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Circuit\Asked;
use Metrum\Circuit\Circuit;
use Metrum\Circuit\Complaint;
use Metrum\Circuit\Fault;
use Metrum\Circuit\Observation;
use Metrum\Circuit\Reading;
use Metrum\Circuit\State;
use Metrum\Circuit\Test;
use Metrum\Circuit\Word;
use Metrum\Quantity\Copies;
use Metrum\Quantity\Kind;

/** What is known at one moment of a visit: the latest of each reading, observation and test. Absent is unknown. */
final readonly class Findings
{
    use Copies;

    /**
     * @param  array<string, float>  $readings  by key of Reading, SI; pressures in gauge Pa
     * @param  array<string, Word>  $observations  by key of Observation
     * @param  array<string, Word>  $tests  by key of Test
     * @param  list<Complaint>  $complaints
     * @param  list<Fault>  $confirmed
     * @param  list<Fault>  $ruledOut
     */
    public function __construct(
        public Circuit $circuit,
        public ?State $state = null,
        public array $complaints = [],
        public array $readings = [],
        public array $observations = [],
        public array $tests = [],
        public array $confirmed = [],
        public array $ruledOut = [],
        public ?string $id = null,
        public ?string $takenAt = null,
    ) {
    }

    /** SI value, gauge Pa for pressures; null where it was not measured. */
    public function reading(Reading $reading): ?float
    {
        return $this->readings[$reading->value] ?? null;
    }

    /** Pa absolute of a pressure reading; null where it was not measured. */
    public function absolute(Reading $reading): ?float
    {
        $gauge = $this->reading($reading);

        return $gauge === null || $reading->quantity() !== Kind::GaugePressure
            ? null
            : $this->circuit->atmosphere->absolute($gauge);
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

    public function isSettled(): bool
    {
        return $this->state === State::RunningSettled;
    }

    /** Whether the compressor is known to stand still. */
    public function isOff(): bool
    {
        return ($this->state !== null && ! $this->state->runs()) ||
            $this->saw(
                Observation::Compressor,
                Word::OffOnLowPressure,
                Word::OffOnHighPressure,
                Word::OffOnOverload,
                Word::OffOnOil,
                Word::OffOnThermostat,
                Word::WillNotStart,
            );
    }

    /** The same findings with one answer more (or another), for asking what it would tell. */
    public function with(Asked $key, float|Word $value): self
    {
        return match (true) {
            $key instanceof Reading && is_float($value) => $this->but(
                readings: [$key->value => $value] + $this->readings,
            ),
            $key instanceof Observation && $value instanceof Word => $this->but(
                observations: [$key->value => $value] + $this->observations,
            ),
            $key instanceof Test && $value instanceof Word => $this->but(
                tests: [$key->value => $value] + $this->tests,
            ),
            default => $this,
        };
    }

    /**
     * The same without some readings, as where they were not taken.
     *
     * @param  list<Reading>  $readings
     */
    public function without(array $readings): self
    {
        $left = array_diff_key($this->readings, array_flip(array_column($readings, 'value')));

        return count($left) === count($this->readings) ? $this : $this->but(readings: $left);
    }

    public function isEmpty(): bool
    {
        return $this->readings === [] &&
            $this->observations === [] &&
            $this->tests === [] &&
            $this->complaints === [];
    }
}
