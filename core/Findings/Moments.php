<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Knowledge\State;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Log;

/** What the plant was doing at each moment of a visit, as its log tells it, and what was read twice. */
final readonly class Moments
{
    /** Share, or K, bar and the like in SI, by which two readings may differ and still be the same. */
    private const SAME = 0.002;

    /** Minutes that two readings lie apart of which a slope is told: sooner it is a correction, later another state. */
    private const MINUTES_APART = [3, 20];

    /** What a plant at rest still moves by between two readings: K, or a share of a pressure. */
    private const AT_REST = [
        'suction_pressure_kpa' => 0.04,
        'discharge_pressure_kpa' => 0.04,
        'box_temperature_c' => 1.0,
        'suction_temperature_evaporator_c' => 1.5,
        'suction_temperature_compressor_c' => 1.5,
    ];

    /** Pa below which a share of a pressure means nothing. */
    private const LEAST_PRESSURE = 1e5;

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

    /**
     * Keys of readings that still move: the last two lie minutes apart, nothing was moved between, and they differ by
     * more than two readings of a plant at rest.
     *
     * @return list<string>
     */
    public function moving(): array
    {
        $last = [];
        $moving = [];
        foreach ($this->log->happened() as $fact) {
            if ($fact->kind === FactKind::Move) {
                $last = $moving = [];
            }
            $key = $fact->content->key;
            if ($fact->kind !== FactKind::Reading || ! isset(self::AT_REST[$key]) || $fact->content->value === null) {
                continue;
            }
            $name = $fact->part.' '.$key;
            $before = $last[$name] ?? null;
            $last[$name] = $fact;
            unset($moving[$name]);
            if ($before !== null && self::moved($before, $fact)) {
                $moving[$name] = $key;
            }
        }

        return array_values($moving);
    }

    private static function moved(Fact $before, Fact $now): bool
    {
        $apart = $now->takenAt->getTimestamp() - $before->takenAt->getTimestamp();
        [$least, $most] = self::MINUTES_APART;
        $was = (float) $before->content->value;
        $is = (float) $now->content->value;
        $rest = self::AT_REST[$now->content->key];
        $same = $rest < 1.0 ? $rest * max(self::LEAST_PRESSURE, abs($is)) : $rest;

        return $apart >= 60 * $least && $apart <= 60 * $most && abs($is - $was) > $same;
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
