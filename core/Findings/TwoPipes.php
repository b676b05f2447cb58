<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Knowledge\Reading;
use Metrum\Refrigerant\OutsideTable;

/**
 * Superheat by two clamps, coil outlet less coil inlet, without a gauge: it holds where the refrigerant evaporates at
 * one temperature; with a glide the inlet is colder than dew by it, and two clamps say nothing.
 */
final readonly class TwoPipes
{
    /** K of glide up to which the inlet stands for dew. */
    private const GLIDE = 0.5;

    private function __construct(public ?float $superheat, public float $glide)
    {
    }

    /** Null where one of both was not read, or the refrigerant tells nothing at that temperature. */
    public static function of(Findings $findings): ?self
    {
        $inlet = $findings->reading(Reading::CoilInletTemperature);
        $outlet = $findings->reading(Reading::SuctionTemperatureEvaporator);
        if ($inlet === null || $outlet === null) {
            return null;
        }
        try {
            $fluid = $findings->circuit->fluid();
            $glide = $fluid->glide($fluid->dewPressure($inlet));
        } catch (OutsideTable) {
            return null;
        }

        return new self($glide > self::GLIDE ? null : $outlet - $inlet, $glide);
    }
}
