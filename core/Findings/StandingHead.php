<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Knowledge\Reading;
use Metrum\Refrigerant\OutsideTable;

/** The high side's pressure while a plant stands still, against the air around it. */
final class StandingHead
{
    /** K above the air around by which a discharge pipe is hot from running. */
    private const HOT_PIPE = 15.0;

    /** Times that a running high side is the low side, at least, and K that the two lie from air and box. */
    private const APART = 2.5;

    private const ABOVE = 6.0;

    private const BELOW = 3.0;

    /** Saturation at it above the air around, K; 0 where the air is warmer, null where nothing stands. */
    public static function overAmbient(Findings $findings): ?float
    {
        $head = Reading::DischargePressure;
        $pressure = $findings->absolute($head);
        $ambient = $findings->reading(Reading::AmbientTemperature);
        if (
            $pressure === null ||
            $ambient === null ||
            ! $findings->wasOff($head) ||
            self::hasJustRun($findings, $ambient) ||
            self::areApart($findings)
        ) {
            return null;
        }
        try {
            return max(0.0, $findings->circuit->fluid()->bubbleTemperature($pressure) - $ambient);
        } catch (OutsideTable) {
            return null;
        }
    }

    /**
     * Whether both sides read as they do while a plant runs: the high side well above the air around, the low side well
     * below the box. Whatever was said of the compressor, such pressures do not stand.
     */
    public static function areApart(Findings $findings): bool
    {
        $low = $findings->absolute(Reading::SuctionPressure);
        $high = $findings->absolute(Reading::DischargePressure) ?? $findings->absolute(Reading::ReceiverPressure);
        if ($low === null || $high === null || $high < self::APART * $low) {
            return false;
        }
        $ambient = $findings->reading(Reading::AmbientTemperature);
        $box = $findings->reading(Reading::BoxTemperature);
        try {
            $fluid = $findings->circuit->fluid();

            return ($ambient === null || $fluid->bubbleTemperature($high) > $ambient + self::ABOVE) &&
                ($box === null || $fluid->dewTemperature($low) < $box - self::BELOW);
        } catch (OutsideTable) {
            return false;
        }
    }

    /** A hot discharge pipe, or current drawn: whatever was said of the compressor, the pressures do not stand. */
    private static function hasJustRun(Findings $findings, float $ambient): bool
    {
        $pipe = $findings->reading(Reading::DischargeTemperature);
        $current = $findings->reading(Reading::CompressorCurrent);

        return ($pipe !== null && $pipe > $ambient + self::HOT_PIPE) || ($current !== null && $current > 0.0);
    }
}
