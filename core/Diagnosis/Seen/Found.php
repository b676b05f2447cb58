<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Seen;

use Metrum\Circuit\Complaint;
use Metrum\Circuit\DesignKey;
use Metrum\Circuit\Kind;
use Metrum\Circuit\Observation;
use Metrum\Circuit\Reading;
use Metrum\Circuit\State;
use Metrum\Circuit\Word;
use Metrum\Findings\Findings;

/**
 * What is wrong without a complaint: a box off its set point, a compressor that stands when it is called for. It
 * speaks as a complaint would, whether anybody complained or not.
 */
final readonly class Found
{
    /** K above and below its set point from which a settled box is too warm or too cold. */
    private const WARM = 3.0;

    private const COLD = 2.5;

    /** K by which boxes of a kind are set differently, where nobody said how. */
    private const KINDS_DIFFER = 5.0;

    /** K above its set point from which a box calls for cooling. */
    private const CALLING = 2.0;

    /** Stops that are none of a control's usual work. */
    private const TRIPS = [Word::OffOnHighPressure, Word::OffOnOverload, Word::OffOnOil, Word::WillNotStart];

    /** States in which a box is on its way to its set point, and none of them says that it is not kept. */
    private const ON_ITS_WAY = [
        State::Starting,
        State::PullingDown,
        State::PumpingDown,
        State::InDefrost,
        State::AfterDefrost,
    ];

    private function __construct(public Complaint $what, public string $why)
    {
    }

    /** @return list<self> */
    public static function in(Findings $findings): array
    {
        return array_values(array_filter([self::box($findings), self::standing($findings)]));
    }

    private static function box(Findings $findings): ?self
    {
        $above = self::aboveSetPoint($findings);
        if ($above === null || in_array($findings->stateOf(Reading::BoxTemperature), self::ON_ITS_WAY, true)) {
            return null;
        }
        $differ = $findings->circuit->design->boxSetPoint === null ? self::KINDS_DIFFER : 0.0;

        return match (true) {
            $above > self::WARM + $differ => new self(Complaint::TooWarm, 'the box is warmer than it is set'),
            $above < -self::COLD - $differ => new self(Complaint::TooCold, 'the box is colder than it is set'),
            default => null,
        };
    }

    private static function standing(Findings $findings): ?self
    {
        $word = $findings->observed(Observation::Compressor);
        $tripped = in_array($word, self::TRIPS, true);
        $inDefrost = $findings->stateOf(Observation::Compressor) === State::InDefrost;
        $calls = (self::aboveSetPoint($findings) ?? 0.0) > self::CALLING;

        return match (true) {
            $inDefrost => null,
            $tripped => new self(Complaint::NotRunning, 'the compressor had stopped: '.lcfirst($word->label())),
            $calls && $findings->isOff() => new self(
                Complaint::NotRunning,
                'it stands although the box calls for cooling',
            ),
            default => null,
        };
    }

    /** K; null where it is not known. An ice machine has no box. */
    private static function aboveSetPoint(Findings $findings): ?float
    {
        $circuit = $findings->circuit;
        $box = $findings->reading(Reading::BoxTemperature);
        $set = $circuit->design->boxSetPoint ??
            $circuit->kind?->usual()->value(DesignKey::BoxSetPoint);

        return $box === null || $set === null || $circuit->kind === Kind::IceMachine ? null : $box - $set;
    }
}
