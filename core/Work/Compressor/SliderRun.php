<?php

declare(strict_types=1);

namespace Metrum\Work\Compressor;

use Metrum\Knowledge\Reading;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Refrigerant\Refrigerant;
use Metrum\Twin\PlantState;

/** What a compressor does in one state of its plant. SI. */
final readonly class SliderRun
{
    /**
     * @param  float  $evaporating  saturated suction (dew), K
     * @param  float  $condensing  saturated discharge (dew), K
     * @param  float  $massFlow  kg/s
     * @param  float  $discharge  K of its discharge line
     * @param  float  $capacity  W of cooling
     * @param  float  $current  A
     */
    private function __construct(
        public float $evaporating,
        public float $condensing,
        public float $massFlow,
        public float $discharge,
        public float $capacity,
        public float $current,
    ) {
    }

    /** Null where the plant does not run so. @param  float  $atmosphere  Pa */
    public static function of(PlantState $state, Refrigerant $fluid, float $atmosphere): ?self
    {
        $of = static fn (Reading $one): float => $state->readings[$one->value] ?? 0.0;
        if (! $state->runs()) {
            return null;
        }
        try {
            return new self(
                $fluid->dewTemperature($of(Reading::SuctionPressure) + $atmosphere),
                $fluid->dewTemperature($of(Reading::DischargePressure) + $atmosphere),
                $state->massFlow,
                $of(Reading::DischargeTemperature),
                $state->cooling,
                $of(Reading::CompressorCurrent),
            );
        } catch (OutsideTable) {
            return null;
        }
    }
}
