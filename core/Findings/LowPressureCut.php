<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Installation\Circuit;
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

    /**
     * Saturation (dew, K) at which box and TD want it to cut; null where they are not known.
     *
     * @throws OutsideTable where the refrigerant's table does not reach there
     */
    public function wanted(Circuit $circuit, ?float $td): ?float
    {
        $set = $circuit->design->boxSetPoint;
        if ($set === null || $td === null) {
            return null;
        }
        $floor = $circuit->fluid()->dewTemperature($circuit->atmosphere->absolute(self::LEAST));

        return $this === self::Out ? max($floor, $set - $td - self::BELOW_COIL) : $set - self::BELOW_BOX;
    }

    /** Saturation at the cut less where it is wanted, K; null where either is not known. */
    public function againstWanted(Findings $findings, Yardstick $by): ?float
    {
        $pressure = $findings->absolute($this === self::Out ? Reading::LowCutOut : Reading::LowCutIn);
        try {
            $wanted = $this->wanted($findings->circuit, $by->tdCoil);

            return $pressure === null || $wanted === null
                ? null
                : $findings->circuit->fluid()->dewTemperature($pressure) - $wanted;
        } catch (OutsideTable) {
            return null;
        }
    }
}
