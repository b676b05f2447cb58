<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Findings\Findings;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Word;

/** What must hold before something is done, told by what was looked at. */
final readonly class SeenConditions
{
    public function __construct(private Findings $findings)
    {
    }

    public function coil(): Precondition
    {
        $seen = $this->findings->observed(Observation::FrostCoil);
        $dirty = $this->findings->saw(Observation::EvaporatorFace, Word::Dirty);

        return match (true) {
            $seen === Word::Blocked => Precondition::fails(
                'coil clear',
                'blocked by ice: clear it first',
                Observation::FrostCoil,
            ),
            $dirty => Precondition::fails('coil clear', 'dirty: clean it first', Observation::EvaporatorFace),
            $seen === null => Precondition::open('coil clear', 'not looked at', Observation::FrostCoil),
            default => Precondition::holds('coil clear', mb_strtolower($seen->label())),
        };
    }

    public function fans(): Precondition
    {
        $seen = $this->findings->observed(Observation::EvaporatorFans);
        $running = $this->findings->reading(Reading::FansRunning);
        $fitted = $this->findings->reading(Reading::FansFitted);
        if ($running !== null && $fitted !== null) {
            $said = sprintf('%d of %d', (int) $running, (int) $fitted);

            return $running < $fitted
                ? Precondition::fails('fans', $said.': put them right first', Reading::FansRunning)
                : Precondition::holds('fans', $said);
        }

        return match (true) {
            $seen === null => Precondition::open('fans', 'not looked at', Observation::EvaporatorFans),
            $seen === Word::AllRunning => Precondition::holds('fans', 'all running'),
            default => Precondition::fails(
                'fans',
                mb_strtolower($seen->label()).': put them right first',
                Observation::EvaporatorFans,
            ),
        };
    }

    public function doors(): Precondition
    {
        $seen = $this->findings->observed(Observation::Doors);

        return match (true) {
            $seen === null => Precondition::open('doors shut', 'not looked at', Observation::Doors),
            $seen === Word::ShutAndSealing => Precondition::holds('doors shut', ''),
            default => Precondition::fails('doors shut', mb_strtolower($seen->label()), Observation::Doors),
        };
    }

    public function stem(): Precondition
    {
        $seen = $this->findings->observed(Observation::RegulatorStem);

        return match ($seen) {
            null => Precondition::open('stem on automatic', 'not looked at', Observation::RegulatorStem),
            Word::Manual => Precondition::fails(
                'stem on automatic',
                'it stands on manual: the regulator is out of action',
                Observation::RegulatorStem,
            ),
            default => Precondition::holds('stem on automatic', ''),
        };
    }

    public function running(): Precondition
    {
        $seen = $this->findings->observed(Observation::Compressor);
        $state = $this->findings->state;

        return match (true) {
            $state !== null && ! $state->runs() => Precondition::fails(
                'running',
                mb_strtolower($state->label()).': start it, and wait',
                Observation::Compressor,
            ),
            $seen !== null && $seen !== Word::Running => Precondition::fails(
                'running',
                mb_strtolower($seen->label()),
                Observation::Compressor,
            ),
            $seen === Word::Running || $state !== null => Precondition::holds('running', ''),
            default => Precondition::open('running', 'not said', Observation::Compressor),
        };
    }

    public function settled(): Precondition
    {
        $state = $this->findings->state;

        return match (true) {
            $state === null => Precondition::open('settled', 'not said', Reading::MinutesSinceDisturbance),
            $this->findings->isSettled() => Precondition::holds('settled', ''),
            default => Precondition::fails(
                'settled',
                mb_strtolower($state->label()).': wait until it has settled',
                Reading::MinutesSinceDisturbance,
            ),
        };
    }
}
