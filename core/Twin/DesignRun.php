<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Findings\Place;
use Metrum\Knowledge\Band;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Refrigerant\Refrigerant;

/** The run along a circuit that follows from its condensing and evaporating temperatures alone. K. */
final readonly class DesignRun
{
    /** Share of the whole glide that the coil has: it begins with gas in the liquid. */
    public const COIL_GLIDE = 0.7;

    /** K that a suction line usually gains. */
    private const LINE_GAIN = 5.0;

    public function __construct(private Refrigerant $fluid, private Band $superheat)
    {
    }

    /**
     * @param  float  $subcooling  K at the condenser's outlet
     * @return array<string, Expected> by Place
     */
    public function high(Expected $condensing, float $subcooling): array
    {
        $glide = self::glideAt($this->fluid, $condensing->value);
        $width = $condensing->deviation;
        $bubble = $condensing->value - $glide / 2;
        $liquid = $bubble - $subcooling;

        return [
            Place::CondenserIn->value => new Expected($condensing->value + $glide / 2, $width),
            Place::CondenserOut->value => new Expected($bubble, $width),
            Place::CondenserOutlet->value => new Expected($liquid, $width + 1.0),
            Place::ReceiverOutlet->value => new Expected($liquid - 0.3, $width + 1.2),
            Place::DrierOutlet->value => new Expected($liquid - 0.6, $width + 1.4),
            Place::ValveInlet->value => new Expected($liquid - 1.2, $width + 2.0),
        ];
    }

    /** @return array<string, Expected> by Place */
    public function low(Expected $evaporating): array
    {
        $glide = self::COIL_GLIDE * self::glideAt($this->fluid, $evaporating->value);
        $width = $evaporating->deviation;
        $dew = $evaporating->value + $glide / 2;
        $bulb = $dew + $this->superheat->middle();
        $half = ($this->superheat->high - $this->superheat->low) / 2;

        return [
            Place::CoilIn->value => new Expected($evaporating->value - $glide / 2, $width),
            Place::CoilOut->value => new Expected($dew, $width),
            Place::Bulb->value => new Expected($bulb, $width + $half),
            Place::SuctionPipe->value => new Expected($bulb + self::LINE_GAIN, $width + 4.0),
        ];
    }

    /** Dew less bubble temperature (K) around a temperature; 0 outside the table. */
    public static function glideAt(Refrigerant $fluid, float $middle): float
    {
        try {
            return $fluid->glide($fluid->dewPressure($middle));
        } catch (OutsideTable) {
            return 0.0;
        }
    }
}
