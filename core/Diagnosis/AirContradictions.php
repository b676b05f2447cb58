<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Word;
use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Quantity\Magnitude;

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
            Sentence::of(Reason::CoilTooWarm, by: Magnitude::difference($dew - $box)),
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
            Sentence::of(Reason::CondenserTooCold, by: Magnitude::difference($ambient - $bubble)),
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
                Sentence::of(Reason::SupplyTooCold, by: Magnitude::difference($inlet - $supply)),
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
            Sentence::of(Reason::SupplyWarmer, by: Magnitude::difference(-$drop)),
            [Reading::SupplyAirTemperature, Reading::BoxTemperature],
        );
    }
}
