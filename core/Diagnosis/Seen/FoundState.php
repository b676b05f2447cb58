<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Seen;

use Metrum\Diagnosis\Feature;
use Metrum\Findings\BoxState;
use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Findings;
use Metrum\Findings\Sign;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Word;

/**
 * What is wrong without a complaint: a box off its set point, a compressor that stands when it is called for. It
 * speaks as a complaint would, whether anybody complained or not.
 */
final readonly class FoundState
{
    /** K above and below its set point from which a settled box is too warm or too cold. */
    private const WARM = 3.0;

    private const COLD = 2.5;

    /** K by which boxes of a kind are set differently, where nobody said how. */
    private const KINDS_DIFFER = 5.0;

    /** States in which a box is on its way to its set point, and none of them says that it is not kept. */
    private const ON_ITS_WAY = [
        State::Starting,
        State::PullingDown,
        State::PumpingDown,
        State::InDefrost,
        State::AfterDefrost,
    ];

    /** @param  ?Word  $trip  what had stopped the compressor; null where that is not what is wrong */
    private function __construct(
        public Complaint $what,
        public string $why,
        public ?Word $trip = null,
    ) {
    }

    /** @return list<self> */
    public static function in(Findings $findings): array
    {
        $standing = self::standing($findings);
        // A box that nothing cools is warm for that reason.
        $box = $standing === null || ! $findings->isOff() ? self::box($findings) : null;

        return array_values(array_filter([$standing, $box]));
    }

    /** Whether a thing that was found or told is this. */
    public function says(string $feature): bool
    {
        $isOfTheBox = in_array($this->what, [Complaint::TooWarm, Complaint::TooCold], true);

        $one = Feature::named($feature)->of;

        $isBox = in_array($one, [Sign::Box, DerivedFigure::BoxAboveSetPoint], true);

        return $one === $this->what || ($isOfTheBox && $isBox);
    }

    private static function box(Findings $findings): ?self
    {
        $above = BoxState::above($findings);
        if ($above === null || in_array($findings->stateOf(Reading::BoxTemperature), self::ON_ITS_WAY, true)) {
            return null;
        }
        $differ = $findings->circuit->design->boxSetPoint === null ? self::KINDS_DIFFER : 0.0;

        return match (true) {
            $above > self::WARM + $differ => new self(Complaint::TooWarm, 'box warmer than set point'),
            $above < -self::COLD - $differ => new self(Complaint::TooCold, 'box colder than set point'),
            default => null,
        };
    }

    /** By its own temperature, or where nobody read that by what people say. */
    private static function isCalledFor(Findings $findings): bool
    {
        return BoxState::calls($findings) ?? in_array(Complaint::TooWarm, $findings->complaints, true);
    }

    private static function standing(Findings $findings): ?self
    {
        $word = $findings->observed(Observation::Compressor);
        $trip = $word?->stop()?->isTrip() === true ? $word : $findings->tripped;

        return match (true) {
            $trip !== null => new self(
                Complaint::NotRunning,
                'compressor had stopped: '.lcfirst($trip->label()),
                $trip,
            ),
            $findings->stateOf(Observation::Compressor) === State::InDefrost => null,
            self::isCalledFor($findings) && $findings->isOff() => new self(
                Complaint::NotRunning,
                'off although the box calls for cooling',
            ),
            default => null,
        };
    }
}
