<?php

declare(strict_types=1);

namespace Metrum\Work\Site;

use Metrum\Language\Sentence;
use Metrum\Language\WorkReason;
use Metrum\Quantity\Magnitude;

/** Why something does not fit today, and what has to be prepared so that it will. */
enum Obstacle
{
    case NoUnit;
    case NoBox;
    case NoStop;
    case Dark;
    case Open;
    case NoTime;

    /**
     * @param  float  $needs  s that it takes
     * @param  float  $left  s that are left for it
     */
    public function why(float $needs, float $left): Sentence
    {
        return match ($this) {
            self::NoUnit => Sentence::of(WorkReason::UnitNotReached),
            self::NoBox => Sentence::of(WorkReason::BoxNotReached),
            self::NoStop => Sentence::of(WorkReason::MustKeepRunning),
            self::Dark => Sentence::of(WorkReason::DarkBefore),
            self::Open => Sentence::of(WorkReason::OpensBefore),
            self::NoTime => Sentence::of(
                WorkReason::NoTimeLeft,
                needs: Magnitude::minutes($needs),
                left: Magnitude::minutes($left),
            ),
        };
    }

    /** Null where nothing has to be prepared but time. */
    public function prepare(): ?Sentence
    {
        return match ($this) {
            self::NoUnit => Sentence::of(WorkReason::PrepareUnit),
            self::NoBox => Sentence::of(WorkReason::PrepareBox),
            self::NoStop => Sentence::of(WorkReason::PrepareStop),
            self::Dark => Sentence::of(WorkReason::PrepareLight),
            self::Open => Sentence::of(WorkReason::PrepareQuiet),
            self::NoTime => null,
        };
    }
}
