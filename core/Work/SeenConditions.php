<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Diagnosis\Requirement;
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

    public function coil(): Requirement
    {
        $seen = $this->findings->observed(Observation::FrostCoil);
        $dirty = $this->findings->saw(Observation::EvaporatorFace, Word::Dirty);

        return match (true) {
            $seen === Word::Blocked => Requirement::fails(
                'coil clear',
                'blocked by ice: clear it first',
                Observation::FrostCoil,
            ),
            $dirty => Requirement::fails('coil clear', 'dirty: clean it first', Observation::EvaporatorFace),
            $seen === null => Requirement::open('coil clear', 'not looked at', Observation::FrostCoil),
            default => Requirement::holds('coil clear', mb_strtolower($seen->label())),
        };
    }

    public function fans(): Requirement
    {
        $seen = $this->findings->observed(Observation::EvaporatorFans);
        $running = $this->findings->reading(Reading::FansRunning);
        $fitted = $this->findings->reading(Reading::FansFitted);
        if ($running !== null && $fitted !== null) {
            $said = sprintf('%d of %d', (int) $running, (int) $fitted);

            return $running < $fitted
                ? Requirement::fails('fans', $said.': put them right first', Reading::FansRunning)
                : Requirement::holds('fans', $said);
        }

        return match (true) {
            $seen === null => Requirement::open('fans', 'not looked at', Observation::EvaporatorFans),
            $seen === Word::AllRunning => Requirement::holds('fans', 'all running'),
            default => Requirement::fails(
                'fans',
                mb_strtolower($seen->label()).': put them right first',
                Observation::EvaporatorFans,
            ),
        };
    }

    public function doors(): Requirement
    {
        $seen = $this->findings->observed(Observation::Doors);

        return match (true) {
            $seen === null => Requirement::open('doors shut', 'not looked at', Observation::Doors),
            $seen === Word::ShutAndSealing => Requirement::holds('doors shut', ''),
            default => Requirement::fails('doors shut', mb_strtolower($seen->label()), Observation::Doors),
        };
    }

    public function stem(): Requirement
    {
        $seen = $this->findings->observed(Observation::RegulatorStem);

        return match ($seen) {
            null => Requirement::open('stem on automatic', 'not looked at', Observation::RegulatorStem),
            Word::Manual => Requirement::fails(
                'stem on automatic',
                'it stands on manual: the regulator is out of action',
                Observation::RegulatorStem,
            ),
            default => Requirement::holds('stem on automatic', ''),
        };
    }

    public function running(): Requirement
    {
        $seen = $this->findings->observed(Observation::Compressor);
        $state = $this->findings->state;

        return match (true) {
            $state !== null && ! $state->runs() => Requirement::fails(
                'running',
                mb_strtolower($state->label()).': start it, and wait',
                Observation::Compressor,
            ),
            $seen !== null && $seen !== Word::Running => Requirement::fails(
                'running',
                mb_strtolower($seen->label()),
                Observation::Compressor,
            ),
            $seen === Word::Running || $state !== null => Requirement::holds('running', ''),
            default => Requirement::open('running', 'not said', Observation::Compressor),
        };
    }

    public function settled(): Requirement
    {
        $state = $this->findings->state;

        return match (true) {
            $state === null => Requirement::open('settled', 'not said', Reading::MinutesSinceDisturbance),
            $this->findings->isSettled() => Requirement::holds('settled', ''),
            default => Requirement::fails(
                'settled',
                mb_strtolower($state->label()).': wait until it has settled',
                Reading::MinutesSinceDisturbance,
            ),
        };
    }
}
