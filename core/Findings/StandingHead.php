<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Circuit\Reading;
use Metrum\Refrigerant\OutsideTable;

/** The high side's pressure while a plant stands still, against the air around it. */
final class StandingHead
{
    /** K above the air around by which a discharge pipe is hot from running. */
    private const HOT_PIPE = 15.0;

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
            self::hasJustRun($findings, $ambient)
        ) {
            return null;
        }
        try {
            return max(0.0, $findings->circuit->fluid()->bubbleTemperature($pressure) - $ambient);
        } catch (OutsideTable) {
            return null;
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
