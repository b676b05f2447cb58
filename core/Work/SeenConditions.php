<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Diagnosis\Requirement;
use Metrum\Findings\Findings;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Word;
use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Quantity\Magnitude;

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
                Reason::CoilClear,
                Reason::BlockedClearFirst,
                Observation::FrostCoil,
            ),
            $dirty => Requirement::fails(Reason::CoilClear, Reason::DirtyCleanFirst, Observation::EvaporatorFace),
            $seen === null => Requirement::open(Reason::CoilClear, Reason::NotLookedAt, Observation::FrostCoil),
            default => Requirement::holds(Reason::CoilClear, self::seen($seen)),
        };
    }

    public function fans(): Requirement
    {
        $seen = $this->findings->observed(Observation::EvaporatorFans);
        $running = $this->findings->reading(Reading::FansRunning);
        $fitted = $this->findings->reading(Reading::FansFitted);
        if ($running !== null && $fitted !== null) {
            $counted = ['running' => Magnitude::count($running), 'fitted' => Magnitude::count($fitted)];

            return $running < $fitted
                ? Requirement::fails(
                    Reason::Fans,
                    Sentence::of(Reason::CountedPutRightFirst, ...$counted),
                    Reading::FansRunning,
                )
                : Requirement::holds(Reason::Fans, Sentence::of(Reason::Counted, ...$counted));
        }

        return match (true) {
            $seen === null => Requirement::open(Reason::Fans, Reason::NotLookedAt, Observation::EvaporatorFans),
            $seen === Word::AllRunning => Requirement::holds(Reason::Fans, Reason::AllRunning),
            default => Requirement::fails(
                Reason::Fans,
                Sentence::of(Reason::SeenPutRightFirst, word: mb_strtolower($seen->label())),
                Observation::EvaporatorFans,
            ),
        };
    }

    public function doors(): Requirement
    {
        $seen = $this->findings->observed(Observation::Doors);

        return match (true) {
            $seen === null => Requirement::open(Reason::DoorsShut, Reason::NotLookedAt, Observation::Doors),
            $seen === Word::ShutAndSealing => Requirement::holds(Reason::DoorsShut),
            default => Requirement::fails(Reason::DoorsShut, self::seen($seen), Observation::Doors),
        };
    }

    public function stem(): Requirement
    {
        $seen = $this->findings->observed(Observation::RegulatorStem);

        return match ($seen) {
            null => Requirement::open(Reason::StemOnAutomatic, Reason::NotLookedAt, Observation::RegulatorStem),
            Word::Manual => Requirement::fails(
                Reason::StemOnAutomatic,
                Reason::StandsOnManual,
                Observation::RegulatorStem,
            ),
            default => Requirement::holds(Reason::StemOnAutomatic),
        };
    }

    public function running(): Requirement
    {
        $seen = $this->findings->observed(Observation::Compressor);
        $state = $this->findings->state;

        return match (true) {
            $state !== null && ! $state->runs() => Requirement::fails(
                Reason::Running,
                Sentence::of(Reason::StartIt, state: mb_strtolower($state->label())),
                Observation::Compressor,
            ),
            $seen !== null && $seen !== Word::Running => Requirement::fails(
                Reason::Running,
                self::seen($seen),
                Observation::Compressor,
            ),
            $seen === Word::Running || $state !== null => Requirement::holds(Reason::Running),
            default => Requirement::open(Reason::Running, Reason::NotSaid, Observation::Compressor),
        };
    }

    public function settled(): Requirement
    {
        $state = $this->findings->state;

        return match (true) {
            $state === null => Requirement::open(Reason::Settled, Reason::NotSaid, Reading::MinutesSinceDisturbance),
            $this->findings->isSettled() => Requirement::holds(Reason::Settled),
            default => Requirement::fails(
                Reason::Settled,
                Sentence::of(Reason::WaitUntilSettled, state: mb_strtolower($state->label())),
                Reading::MinutesSinceDisturbance,
            ),
        };
    }

    private static function seen(Word $word): Sentence
    {
        return Sentence::of(Reason::Seen, word: mb_strtolower($word->label()));
    }
}
