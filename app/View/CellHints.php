<?php

namespace App\View;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Findings\TwoPipes;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;

/** What follows from a reading, in a few words under its cell. */
final readonly class CellHints
{
    /** Word before the figure that follows from a reading. */
    private const FOLLOWS = [
        Reading::DischargeTemperature->value => ['expected', DerivedFigure::ExpectedDischarge],
        Reading::CondenserOutletTemperature->value => ['subcooling', DerivedFigure::CondenserSubcooling],
        Reading::ReceiverOutletTemperature->value => ['subcooling', DerivedFigure::ReceiverSubcooling],
        Reading::DrierOutletTemperature->value => ['drop', DerivedFigure::DrierDrop],
        Reading::SuctionTemperatureEvaporator->value => ['superheat', DerivedFigure::EvaporatorSuperheat],
        Reading::SuctionTemperatureCompressor->value => ['superheat', DerivedFigure::CompressorSuperheat],
        Reading::SupplyAirTemperature->value => ['drop', DerivedFigure::CoilAirDrop],
        Reading::CondenserAirOutTemperature->value => ['rise', DerivedFigure::CondenserAirRise],
        Reading::AmbientTemperature->value => ['split', DerivedFigure::CondenserSplit],
    ];

    public function __construct(private Findings $findings, private Figures $figures, private Units $units)
    {
    }

    public function of(Reading $reading): string
    {
        return match ($reading) {
            Reading::DischargePressure => $this->condensing($reading),
            Reading::ReceiverPressure => $this->findings->reading(Reading::DischargePressure) === null
                ? $this->condensing($reading)
                : '',
            Reading::SuctionPressure => $this->evaporating(),
            Reading::EvaporatorPressure => $this->findings->reading($reading) === null
                ? ''
                : $this->said(DerivedFigure::SaturatedEvaporator, after: 'dew').$this->middle(),
            Reading::BoxTemperature => $this->setPoint(),
            Reading::CompressorCurrent => $this->said(DerivedFigure::CurrentShare, after: '% of rated amps'),
            Reading::CoilInletTemperature => $this->twoPipes(),
            default => $this->following($reading),
        };
    }

    /** "superheat 5.2 by two lines", beside what the gauge says; with a glide two lines say nothing. */
    private function twoPipes(): string
    {
        $pipes = TwoPipes::of($this->findings);
        if ($pipes === null) {
            return '';
        }
        if ($pipes->superheat === null) {
            $glide = $this->units->text($pipes->glide, QuantityKind::Difference);

            return "no superheat by two lines: glide $glide";
        }
        $gauge = $this->said(DerivedFigure::EvaporatorSuperheat, ', by gauge');

        return 'superheat '.$this->units->number($pipes->superheat, QuantityKind::Difference)." by two lines$gauge";
    }

    private function following(Reading $reading): string
    {
        [$before, $key] = self::FOLLOWS[$reading->value] ?? ['', null];

        return $key === null ? '' : $this->said($key, $before);
    }

    /** Beside the pressure that it is worked from. */
    private function condensing(Reading $at): string
    {
        if ($this->findings->reading($at) === null) {
            return '';
        }
        $dew = $this->number(DerivedFigure::CondensingDew);
        $bubble = $this->number(DerivedFigure::SaturatedCondensing);

        return match (true) {
            $dew === null => '',
            $dew === $bubble => $dew.' sat.',
            default => $dew.' dew · '.$bubble.' bubble',
        };
    }

    private function evaporating(): string
    {
        // The coil's middle belongs beside the coil's own pressure, where that was read.
        $middle = $this->findings->reading(Reading::EvaporatorPressure) === null ? $this->middle() : '';

        return $this->said(DerivedFigure::SaturatedSuction, after: 'dew').$middle;
    }

    private function middle(): string
    {
        $middle = $this->said(DerivedFigure::CoilMiddle, after: 'mid');

        return $middle === '' ? '' : ' · '.$middle;
    }

    private function setPoint(): string
    {
        $set = $this->findings->circuit->design->boxSetPoint;

        return $set === null ? '' : 'set point '.$this->units->number($set, QuantityKind::Temperature);
    }

    private function said(DerivedFigure $key, string $before = '', string $after = ''): string
    {
        $number = $this->number($key);

        return $number === null ? '' : trim($before.' '.$number.' '.$after);
    }

    private function number(DerivedFigure $key): ?string
    {
        $value = $this->figures->value($key);

        return $value === null ? null : $this->units->number($value, $key->quantity());
    }
}
