<?php

declare(strict_types=1);

namespace Metrum\Work\Compressor;

use Metrum\Installation\Envelope;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Twin\Controls;
use Metrum\Twin\Machine;
use Metrum\Twin\PressuresInTime;

/** A pump-down in time: how long it runs outside of where it may. */
final class PumpDownPath
{
    private const STEP = 1.0;

    /** s after which a pump-down that does not end is no longer followed. */
    private const LONGEST = 600.0;

    /**
     * s outside the field in one pump-down, with the head as it is; null where the refrigerant's table does not reach
     * there, or it does not get down.
     *
     * @param  float  $box  K, from where the suction begins
     * @param  float  $ambient  K
     * @param  float  $cutOut  Pa abs
     * @param  float  $condensing  K of dew that stays
     */
    public static function outside(
        Machine $machine,
        Envelope $envelope,
        float $box,
        float $ambient,
        float $cutOut,
        float $condensing,
    ): ?float {
        $pressures = new PressuresInTime($machine, Controls::for($machine), $ambient, $box);
        $outside = 0.0;
        try {
            for ($time = 0.0; $time < self::LONGEST; $time += self::STEP) {
                $pressures->pumpDown(self::STEP);
                $suction = $pressures->suction();
                if ($suction <= $cutOut) {
                    return $outside;
                }
                $at = $machine->fluid->dewTemperature($suction);
                $outside += $envelope->holds($at, $condensing) || $at > $box - self::STEP ? 0.0 : self::STEP;
            }
        } catch (OutsideTable) {
            return null;
        }

        return null;
    }
}
