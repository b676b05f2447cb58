<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Installation\Circuit;
use Metrum\Knowledge\Asked;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Taken;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use Metrum\Quantity\Copies;
use Metrum\Quantity\QuantityKind;

/** What is known at one moment of a visit: the latest of each reading, observation and test. Absent is unknown. */
final readonly class Findings
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
     * @param  array<string, State>  $states  what the plant was doing when it was found, by key of what was found;
     *                                        absent: what it does now
     * @param  list<string>  $moving  keys of readings that were taken twice and still move
     * @param  list<MoveAnswer>  $moved  how the plant answered what was moved so far
     * @param  ?Word  $tripped  what had stopped the compressor at this visit before it ran again
     * @param  list<string>  $repeated  keys of readings that were taken twice and read the same
     * @param  array<string, Taken>  $taken  with what readings were taken, by key; absent: as their place asks
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
        public array $states = [],
        public array $repeated = [],
        public array $moved = [],
        public array $moving = [],
        public ?Word $tripped = null,
        public array $taken = [],
    ) {
    }

    /** Pa absolute of a pressure reading; null where it was not measured. */
    public function absolute(Reading $reading): ?float
    {
        $gauge = $this->reading($reading);

        return $gauge === null || $reading->quantity() !== QuantityKind::GaugePressure
            ? null
            : $this->circuit->atmosphere->absolute($gauge);
    }

    public function isSettled(): bool
    {
        return $this->state === State::RunningSettled || $this->state === State::Freezing;
    }

    /** Whether the compressor is known to stand still. */
    public function isOff(): bool
    {
        return ($this->state !== null && ! $this->state->runs()) ||
            $this->observed(Observation::Compressor)?->stop() !== null;
    }

    /** What the plant was doing when something was found; null where nobody said. */
    public function stateOf(Asked $key): ?State
    {
        return $this->states[(string) $key->value] ?? $this->state;
    }

    /** Whether the compressor stood still while this was read. */
    public function wasOff(Reading $reading): bool
    {
        $state = $this->states[$reading->value] ?? null;

        return $state === null ? $this->isOff() : ! $state->runs();
    }

    /**
     * Whether any of these was read while the compressor stood still.
     *
     * @param  list<Reading>  $readings
     */
    public function wereOff(array $readings): bool
    {
        foreach ($readings as $reading) {
            if ($this->reading($reading) !== null && $this->wasOff($reading)) {
                return true;
            }
        }

        return false;
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
     * The same without some of what was found, as where it was not looked at.
     *
     * @param  list<Reading|Observation>  $keys
     */
    public function without(array $keys): self
    {
        $gone = array_flip(array_column($keys, 'value'));
        $readings = array_diff_key($this->readings, $gone);
        $observations = array_diff_key($this->observations, $gone);
        $same =
            count($readings) === count($this->readings) && count($observations) === count($this->observations);

        return $same ? $this : $this->but(readings: $readings, observations: $observations);
    }

    /** The same without what was read while the compressor stood still. */
    public function whileRunning(): self
    {
        return $this->without(array_values(array_filter($this->taken(), $this->wasOff(...))));
    }

    /** The same as if a fault had been confirmed. */
    public function withConfirmed(Fault $fault): self
    {
        return $this->but(confirmed: [...$this->confirmed, $fault]);
    }

    /**
     * The same with these readings in place of its own of the same keys.
     *
     * @param  array<string, float>  $readings  SI by key of Reading
     */
    public function withReadings(array $readings): self
    {
        return $this->but(readings: $readings + $this->readings);
    }

    public function withoutComplaints(): self
    {
        return $this->but(complaints: []);
    }

    /** The same with these faults ruled out too. */
    public function withRuledOut(Fault ...$faults): self
    {
        return $this->but(ruledOut: array_values([...$this->ruledOut, ...$faults]));
    }

    /**
     * The same with what moves came to.
     *
     * @param  list<MoveAnswer>  $moved
     */
    public function withMoved(array $moved): self
    {
        return $this->but(moved: $moved);
    }

    /** The same as if no fault had been ruled out. */
    public function nothingRuledOut(): self
    {
        return $this->but(ruledOut: []);
    }

    /** @return list<Reading> that were taken */
    private function taken(): array
    {
        return array_map(Reading::from(...), array_keys($this->readings));
    }

    public function isEmpty(): bool
    {
        return $this->readings === [] &&
            $this->observations === [] &&
            $this->tests === [] &&
            $this->complaints === [];
    }
}
