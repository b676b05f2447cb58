<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Installation\HeadPressureControl;
use Metrum\Knowledge\HouseRule;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Word;

/**
 * Fans that stand and ought not to. Condenser fans whose control holds the head stand rightly where the head is low,
 * on a cold day as with too little refrigerant: they are its answer, and nothing is put right at them.
 */
final readonly class StandingFans
{
    private function __construct(public bool $ofCoil, public bool $ofCondenser)
    {
    }

    public static function in(Findings $findings, HouseRules $rules): self
    {
        $condenser = $findings->saw(Observation::CondenserFans, ...Word::FANS_STAND);

        return new self(
            $findings->saw(Observation::EvaporatorFans, ...Word::FANS_STAND),
            $condenser && ! self::areHeldBack($findings, $rules),
        );
    }

    /** Whether the control of the head lets the condenser's fans stand: the head is no higher than it is held. */
    private static function areHeldBack(Findings $findings, HouseRules $rules): bool
    {
        $control = $findings->circuit->headPressureControl;
        if (! in_array($control, [HeadPressureControl::FanCycling, HeadPressureControl::FanSpeed], true)) {
            return false;
        }
        $condensing = Figures::of($findings, $rules)->value(DerivedFigure::SaturatedCondensing);

        return $condensing !== null && $condensing <= $rules->band(HouseRule::LeastCondensing)->high;
    }
}
