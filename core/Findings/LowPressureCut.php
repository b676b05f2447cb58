<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Knowledge\Reading;
use Metrum\Refrigerant\OutsideTable;

/** Where the low-pressure control cuts, and where box and TD want it. */
enum LowPressureCut
{
    case Out;
    case In;

    /** K that the cut-out lies below the coil, and the cut-in below the box. */
    private const BELOW_COIL = 14.0;

    private const BELOW_BOX = 3.0;

    /** Pa gauge below which nothing should run: never in vacuum. */
    private const LEAST = 10e3;

    /** Saturation at the cut less where it is wanted, K; null where either is not known. */
    public function againstWanted(Findings $findings, Yardstick $by): ?float
    {
        $circuit = $findings->circuit;
        $pressure = $findings->absolute($this === self::Out ? Reading::LowCutOut : Reading::LowCutIn);
        $set = $circuit->design->boxSetPoint;
        if ($pressure === null || $set === null || $by->tdCoil === null) {
            return null;
        }
        $fluid = $circuit->fluid();
        try {
            $floor = $fluid->dewTemperature($circuit->atmosphere->absolute(self::LEAST));
            $wanted = $this === self::Out
                ? max($floor, $set - $by->tdCoil - self::BELOW_COIL)
                : $set - self::BELOW_BOX;

            return $fluid->dewTemperature($pressure) - $wanted;
        } catch (OutsideTable) {
            return null;
        }
    }
}
