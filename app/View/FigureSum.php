<?php

namespace App\View;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figure;
use Metrum\Findings\Findings;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;

/** How a figure comes out of the reader's own numbers: "3.5 °C − (−9.8 °C, dew) = 13.3 K". */
final readonly class FigureSum
{
    /** What is taken from what: readings as they were taken. */
    private const BETWEEN = [
        DerivedFigure::CondenserApproach->value => [Reading::CondenserOutletTemperature, Reading::AmbientTemperature],
        DerivedFigure::CondenserAirRise->value => [Reading::CondenserAirOutTemperature, Reading::AmbientTemperature],
        DerivedFigure::CoilAirDrop->value => [Reading::BoxTemperature, Reading::SupplyAirTemperature],
        DerivedFigure::DrierDrop->value => [Reading::DrierInletTemperature, Reading::DrierOutletTemperature],
        DerivedFigure::SuctionLineGain->value => [
            Reading::SuctionTemperatureCompressor,
            Reading::SuctionTemperatureEvaporator,
        ],
        DerivedFigure::SuctionLineDrop->value => [Reading::EvaporatorPressure, Reading::SuctionPressure],
        DerivedFigure::CompressionRatio->value => [Reading::DischargePressure, Reading::SuctionPressure],
    ];

    /** A reading above a saturation temperature, what that is. */
    private const ABOVE = [
        DerivedFigure::EvaporatorSuperheat->value => [Reading::SuctionTemperatureEvaporator, 'dew'],
        DerivedFigure::CompressorSuperheat->value => [Reading::SuctionTemperatureCompressor, 'dew'],
        DerivedFigure::EvaporatorTd->value => [Reading::BoxTemperature, 'evaporating'],
    ];

    /** A reading below the bubble temperature. */
    private const BELOW = [
        DerivedFigure::Subcooling,
        DerivedFigure::CondenserSubcooling,
        DerivedFigure::ReceiverSubcooling,
        DerivedFigure::ValveSubcooling,
    ];

    private const SATURATION = [
        DerivedFigure::SaturatedSuction->value => 'dew',
        DerivedFigure::SaturatedEvaporator->value => 'dew',
        DerivedFigure::SaturatedCondensing->value => 'bubble',
        DerivedFigure::CondensingDew->value => 'dew',
        DerivedFigure::CondensingMiddle->value => 'mean',
    ];

    public function __construct(private Findings $findings, private Units $units)
    {
    }

    /** Empty where it is more than a sum. */
    public function of(Figure $figure): string
    {
        $key = $figure->key->value;

        return match (true) {
            isset(self::BETWEEN[$key]) => $this->between($figure, ...self::BETWEEN[$key]),
            isset(self::ABOVE[$key]) => $this->above($figure, ...self::ABOVE[$key]),
            isset(self::SATURATION[$key]) => $this->saturation($figure, self::SATURATION[$key]),
            in_array($figure->key, self::BELOW, true) => $this->below($figure),
            $figure->key === DerivedFigure::CondenserSplit => $this->split($figure),
            $figure->key === DerivedFigure::BoxAboveSetPoint => $this->aboveSet($figure),
            default => '',
        };
    }

    private function between(Figure $figure, Reading $from, Reading $less): string
    {
        if ($figure->key === DerivedFigure::CompressionRatio) {
            return $this->absolute($from).' ÷ '.$this->absolute($less).' = '.$this->result($figure);
        }
        $kind = $from->quantity();

        return $this->units->text((float) $this->findings->reading($from), $kind).' − '.
            self::taken($this->units->text((float) $this->findings->reading($less), $kind)).' = '.
            $this->result($figure);
    }

    private function above(Figure $figure, Reading $from, string $saturation): string
    {
        $value = (float) $this->findings->reading($from);

        return $this->degrees($value).' − '.self::taken($this->degrees($value - $figure->si), $saturation).' = '.
            $this->result($figure);
    }

    /** Of a subcooling: from the bubble temperature the line is taken. */
    private function below(Figure $figure): string
    {
        $line = $figure->from[1] ?? null;
        $value = $line instanceof Reading ? $this->findings->reading($line) : null;

        return $value === null
            ? ''
            : $this->degrees($value + $figure->si).' (bubble) − '.self::taken($this->degrees($value)).' = '.
                $this->result($figure);
    }

    private function split(Figure $figure): string
    {
        $ambient = (float) $this->findings->reading(Reading::AmbientTemperature);

        return $this->degrees($ambient + $figure->si).' (condensing) − '.self::taken($this->degrees($ambient)).' = '.
            $this->result($figure);
    }

    private function aboveSet(Figure $figure): string
    {
        $box = (float) $this->findings->reading(Reading::BoxTemperature);

        return $this->degrees($box).' − '.self::taken($this->degrees($box - $figure->si)).' = '.$this->result($figure);
    }

    /** "2.40 bar + 1.01 bar atmospheric = 3.41 bar abs → −9.8 °C (dew)" */
    private function saturation(Figure $figure, string $which): string
    {
        $at = $figure->from[0] ?? null;
        $gauge = $at instanceof Reading ? $this->findings->reading($at) : null;

        return $gauge === null
            ? ''
            : $this->units->text($gauge, QuantityKind::GaugePressure).' + '.
                $this->units->text($this->findings->circuit->atmosphere->pascal, QuantityKind::AbsolutePressure).
                ' atmospheric = '.$this->absolute($at).' → '.$this->result($figure)." ($which)";
    }

    private function absolute(Reading $at): string
    {
        return $this->units->text((float) $this->findings->absolute($at), QuantityKind::AbsolutePressure).' abs';
    }

    private function degrees(float $kelvin): string
    {
        return $this->units->text($kelvin, QuantityKind::Temperature);
    }

    private function result(Figure $figure): string
    {
        return $this->units->text($figure->si, $figure->key->quantity());
    }

    /** "(−9.8 °C, dew)", "32.0 °C" */
    private static function taken(string $text, string $which = ''): string
    {
        return match (true) {
            $which !== '' => "($text, $which)",
            str_starts_with($text, '−') => "($text)",
            default => $text,
        };
    }
}
