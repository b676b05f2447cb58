<?php

namespace App\View;

use Metrum\Findings\Derived;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;

/** What follows from a reading, in a few words under its cell. */
final readonly class CellHints
{
    /** Word before the figure that follows from a reading. */
    private const FOLLOWS = [
        Reading::DischargeTemperature->value => ['expected', Derived::ExpectedDischarge],
        Reading::CondenserOutletTemperature->value => ['subcooled', Derived::CondenserSubcooling],
        Reading::ReceiverOutletTemperature->value => ['subcooled', Derived::ReceiverSubcooling],
        Reading::DrierOutletTemperature->value => ['drop', Derived::DrierDrop],
        Reading::SuctionTemperatureEvaporator->value => ['superheat', Derived::EvaporatorSuperheat],
        Reading::SuctionTemperatureCompressor->value => ['superheat', Derived::CompressorSuperheat],
        Reading::SupplyAirTemperature->value => ['drop', Derived::CoilAirDrop],
        Reading::CondenserAirOutTemperature->value => ['rise', Derived::CondenserAirRise],
        Reading::AmbientTemperature->value => ['split', Derived::CondenserSplit],
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
                : $this->said(Derived::SaturatedEvaporator, after: 'dew').$this->middle(),
            Reading::BoxTemperature => $this->setPoint(),
            Reading::CompressorCurrent => $this->said(Derived::CurrentShare, after: '% of rated'),
            default => $this->following($reading),
        };
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
        $dew = $this->number(Derived::CondensingDew);
        $bubble = $this->number(Derived::SaturatedCondensing);

        return match (true) {
            $dew === null => '',
            $dew === $bubble => $dew.' saturated',
            default => $dew.' dew · '.$bubble.' bubble',
        };
    }

    private function evaporating(): string
    {
        // The coil's middle belongs beside the coil's own pressure, where that was read.
        $middle = $this->findings->reading(Reading::EvaporatorPressure) === null ? $this->middle() : '';

        return $this->said(Derived::SaturatedSuction, after: 'dew').$middle;
    }

    private function middle(): string
    {
        $middle = $this->said(Derived::CoilMiddle, after: 'mid');

        return $middle === '' ? '' : ' · '.$middle;
    }

    private function setPoint(): string
    {
        $set = $this->findings->circuit->design->boxSetPoint;

        return $set === null ? '' : 'set '.$this->units->number($set, QuantityKind::Temperature);
    }

    private function said(Derived $key, string $before = '', string $after = ''): string
    {
        $number = $this->number($key);

        return $number === null ? '' : trim($before.' '.$number.' '.$after);
    }

    private function number(Derived $key): ?string
    {
        $value = $this->figures->value($key);

        return $value === null ? null : $this->units->number($value, $key->quantity());
    }
}
