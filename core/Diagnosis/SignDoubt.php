<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\Findings;
use Metrum\Findings\Sign;
use Metrum\Installation\CondenserPlace;
use Metrum\Knowledge\Reading;

/** By how much more a sign may be off at a sound plant than its twin knows, for want of what nobody said. */
final class SignDoubt
{
    /** K by which the box may lie off its set point where nobody read it. */
    private const BOX_UNREAD = 3.0;

    /** Air indoors, K, in which a part of the suction line of an outdoor unit may run, and how much of the way. */
    private const INDOORS = 291.0;

    private const SHARE_INDOORS = 0.35;

    /** Share of a swing, from least to most, by which one reading of it is off: one sample of a sine. */
    private const OF_A_SWING = 0.35;

    private const OF_THE_BULB = [Sign::Superheat, Sign::SuperheatSuction, Sign::Discharge, Sign::DischargeLevel];

    private const ALONG_THE_LINE = [Sign::LineGain, Sign::Discharge, Sign::DischargeLevel];

    /** Deviation, in the unit of the sign. */
    public static function of(Sign $sign, Findings $findings): float
    {
        $box = $sign === Sign::TdSuction && $findings->reading(Reading::BoxTemperature) === null
            ? self::BOX_UNREAD
            : 0.0;
        $swing = in_array($sign, self::OF_THE_BULB, true) || $sign === Sign::SuperheatFar
            ? self::ofSwing($findings)
            : 0.0;
        $line = in_array($sign, self::ALONG_THE_LINE, true) || $sign === Sign::SuperheatFar
            ? self::ofLine($findings)
            : 0.0;

        return sqrt($box ** 2 + $swing ** 2 + $line ** 2);
    }

    /** K by which one reading of a swinging superheat is no more than a sample of it. */
    public static function ofSwing(Findings $findings): float
    {
        return self::OF_A_SWING * ($findings->reading(Reading::SuperheatSwing) ?? 0.0);
    }

    /** K that the gas may gain indoors while it is cold outside. */
    public static function ofLine(Findings $findings): float
    {
        $ambient = $findings->reading(Reading::AmbientTemperature);
        $indoors = $findings->circuit->condenser !== CondenserPlace::AirOutdoor;

        return $ambient === null || $indoors ? 0.0 : self::SHARE_INDOORS * max(0.0, self::INDOORS - $ambient);
    }
}
