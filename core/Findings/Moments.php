<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Circuit\State;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Log;

/** What the plant was doing at each moment of a visit, as its log tells it, and what was read twice. */
final readonly class Moments
{
    /** Share, or K, bar and the like in SI, by which two readings may differ and still be the same. */
    private const SAME = 0.002;

    /** @var list<Fact> what was said of the plant's state, in order */
    private array $said;

    public function __construct(private Log $log)
    {
        $this->said = $log->history(FactKind::State);
    }

    /**
     * The state in which each standing thing was found. What was found before anybody said a state was found in the
     * first that was said.
     *
     * @return array<string, State> by key
     */
    public function states(): array
    {
        if ($this->said === []) {
            return [];
        }
        $states = [];
        foreach ($this->log->standing(FactKind::Reading, FactKind::Observation, FactKind::Test) as $fact) {
            $state = $this->at($fact->takenAt);
            if ($state !== null) {
                $states[$fact->content->key] = $state;
            }
        }

        return $states;
    }

    /** @return list<string> keys of readings whose last two are equal */
    public function repeated(): array
    {
        $values = [];
        foreach ($this->log->history(FactKind::Reading) as $fact) {
            $values[$fact->content->key][] = $fact->content->value;
        }
        $repeated = [];
        foreach ($values as $key => $all) {
            [$before, $last] = [$all[count($all) - 2] ?? null, $all[count($all) - 1]];
            if ($before !== null && $last !== null && abs($last - $before) <= self::SAME * max(1.0, abs($last))) {
                $repeated[] = $key;
            }
        }

        return $repeated;
    }

    private function at(\DateTimeImmutable $moment): ?State
    {
        $standing = $this->said[0];
        foreach ($this->said as $fact) {
            if ($fact->takenAt <= $moment) {
                $standing = $fact;
            }
        }

        return State::tryFrom((string) $standing->content->word);
    }
}
