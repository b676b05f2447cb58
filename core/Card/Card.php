<?php

declare(strict_types=1);

namespace Metrum\Card;

use Metrum\Installation\Fit;
use Metrum\Knowledge\Asked;
use Metrum\Knowledge\Effort;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Prerequisite;
use Metrum\Knowledge\Station;
use Metrum\Knowledge\Whereabouts;

/** One piece of work, step by step: a file of data/cards/ that a technician could read and mend. */
final readonly class Card
{
    /** Steps that every card has. */
    public const BEGUN = 'begun';

    public const DONE = 'done';

    /** That one of its stops was passed, and why. */
    public const PASSED = 'passed';

    /** That it was left before its end, and why. */
    public const LEFT = 'no_result';

    public const OWN = [self::BEGUN, self::DONE, self::PASSED, self::LEFT];

    /**
     * @param  string  $why  what it is good for, in a sentence
     * @param  bool  $stops  the system stands while it is done
     * @param  list<string>  $tools
     * @param  list<Prerequisite>  $gates
     * @param  list<string>  $cautions  keys of data/cautions.json
     * @param  list<Fault>  $suspects  that ask for it
     * @param  non-empty-list<Step>  $steps
     * @param  non-empty-list<Outcome>  $outcomes  the first that holds is the one
     * @param  list<Asked>  $after  what is read again
     */
    public function __construct(
        public string $key,
        public string $name,
        public string $why,
        public Does $does,
        public Station $station,
        public int $minutes,
        public Whereabouts $where,
        public bool $stops,
        public array $tools,
        public Effort $effort,
        public Fit $fit,
        public array $gates,
        public array $cautions,
        public array $suspects,
        public array $steps,
        public array $outcomes,
        public array $after,
    ) {
    }

    /** "card.step", by which a log knows a step of this card. */
    public function stepKey(string $step): string
    {
        return $this->key.'.'.$step;
    }

    /** @return array{string, string} keys of card and step of "card.step"; no step is an empty one */
    public static function split(string $stepKey): array
    {
        [$card, $step] = [...explode('.', $stepKey, 2), ''];

        return [$card, $step];
    }

    public function step(string $key): ?Step
    {
        foreach ($this->steps as $step) {
            if ($step->key === $key) {
                return $step;
            }
        }

        return null;
    }

    /** What it may come to at its end or at one of its stops. */
    public function outcome(string $key): ?Outcome
    {
        foreach ($this->ends() as $outcome) {
            if ($outcome->key === $key) {
                return $outcome;
            }
        }

        return null;
    }

    public function stop(string $key): ?Stop
    {
        foreach ($this->stops() as $stop) {
            if ($stop->key() === $key) {
                return $stop;
            }
        }

        return null;
    }

    /** @return list<Stop> of all steps, in their order */
    public function stops(): array
    {
        return array_merge(...array_map(static fn (Step $step): array => $step->stops, $this->steps));
    }

    /** @return list<Outcome> what its stops and its outcomes come to */
    public function ends(): array
    {
        return [
            ...array_map(static fn (Stop $stop): Outcome => $stop->outcome, $this->stops()),
            ...$this->outcomes,
        ];
    }

    /** Whether something can be confirmed by it for a visit. */
    public function canPermit(Prerequisite $gate): bool
    {
        return array_filter($this->ends(), static fn (Outcome $one): bool => $one->permits === $gate) !== [];
    }

    /** @return list<string> keys of the questions that its outcomes answer */
    public function answered(): array
    {
        $keys = [];
        foreach ($this->ends() as $outcome) {
            foreach ($outcome->tells as [$question]) {
                $keys[(string) $question->value] = (string) $question->value;
            }
        }

        return array_values($keys);
    }
}
