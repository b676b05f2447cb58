<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Word;

/** Air temperatures that cannot be true beside a running coil and condenser (J-18). */
final readonly class AirContradictions
{
    public function __construct(private Findings $findings, private Figures $figures)
    {
    }

    /** @return list<?Contradiction> */
    public function all(): array
    {
        return [$this->coilCold(), $this->condenserHot(), $this->air()];
    }

    private function coilCold(): ?Contradiction
    {
        $dew = $this->figures->value(DerivedFigure::SaturatedEvaporator);
        $box = $this->findings->reading(Reading::BoxTemperature);
        if ($dew === null || $box === null || $dew <= $box + 1.5) {
            return null;
        }

        return new Contradiction(
            'Evaporating at dew is '.
                Contradiction::kelvin($dew - $box).
                ' warmer than the box: a running coil is colder than its air. Is the refrigerant right?',
            [Reading::SuctionPressure, Reading::BoxTemperature],
        );
    }

    private function condenserHot(): ?Contradiction
    {
        $bubble = $this->figures->value(DerivedFigure::CondensingDew);
        $ambient = $this->findings->reading(Reading::AmbientTemperature);
        if ($bubble === null || $ambient === null || $bubble >= $ambient - 1.0) {
            return null;
        }

        return new Contradiction(
            'Condensing is '.
                Contradiction::kelvin($ambient - $bubble).
                ' colder than the air entering the condenser, which cannot be while it gives off heat.',
            [Reading::AmbientTemperature, Reading::DischargePressure],
        );
    }

    private function air(): ?Contradiction
    {
        $drop = $this->figures->value(DerivedFigure::CoilAirDrop);
        $supply = $this->findings->reading(Reading::SupplyAirTemperature);
        $inlet = $this->figures->value(DerivedFigure::CoilInlet);
        if ($supply !== null && $inlet !== null && $supply < $inlet - 1.5) {
            return new Contradiction(
                'The air leaves the coil '.
                    Contradiction::kelvin($inlet - $supply).
                    ' colder than the coil itself.',
                [Reading::SupplyAirTemperature, Reading::SuctionPressure],
            );
        }
        if (
            $drop === null ||
            $drop >= -1.0 ||
            $this->findings->saw(Observation::EvaporatorFans, Word::AllStopped)
        ) {
            return null;
        }

        return new Contradiction(
            'The air leaves the coil '.Contradiction::kelvin(-$drop).' warmer than it enters.',
            [Reading::SupplyAirTemperature, Reading::BoxTemperature],
        );
    }
}
