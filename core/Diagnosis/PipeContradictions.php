<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Findings\Meaning;
use Metrum\Installation\HeadPressureControl;
use Metrum\Knowledge\Reading;
use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Quantity\Magnitude;

/** Pipe temperatures that cannot be true beside the pressures (knowledge.md §1; G-03, G-05). */
final readonly class PipeContradictions
{
    /** K of subcooling that no condenser gives; one full of liquid cools it to the air's own. */
    private const MOST_SUBCOOLING = 35.0;

    /** K that a suction line may read colder at its end: clamps differ, and liquid boils on the way. */
    private const LOST_ON_THE_WAY = 3.0;

    /** K by which a pipe may read warmer after the drier, and a starved coil's gas warmer than the box: two clamps. */
    private const WARMER_AFTER_DRIER = 2.5;

    private const WARMER_THAN_BOX = 3.0;

    /** K within which a pipe is as warm as the air. */
    private const AS_THE_AIR = 2.0;

    private const PIPES = [
        Reading::DischargeTemperature,
        Reading::CondenserOutletTemperature,
        Reading::ReceiverOutletTemperature,
        Reading::ValveInletTemperature,
        Reading::SuctionTemperatureEvaporator,
        Reading::SuctionTemperatureCompressor,
    ];

    public function __construct(private Findings $findings, private Figures $figures)
    {
    }

    /** @return list<?Contradiction> */
    public function all(): array
    {
        return [
            $this->superheat(),
            $this->superheatAboveTd(),
            $this->heavySubcooling(),
            $this->tooMuchSubcooling(),
            $this->dischargePipe(),
            (new ReceiverSeal($this->findings, $this->figures))->contradiction(),
            $this->drier(),
            $this->hotGas(),
            $this->colderOnTheWay(),
            $this->idle(),
        ];
    }

    private function superheat(): ?Contradiction
    {
        $superheats = [
            [DerivedFigure::EvaporatorSuperheat, Reading::SuctionTemperatureEvaporator],
            [DerivedFigure::CompressorSuperheat, Reading::SuctionTemperatureCompressor],
        ];
        foreach ($superheats as [$key, $pipe]) {
            $figure = $this->figures->figure($key);
            if ($figure?->meaning === Meaning::BeyondRefrigerant) {
                $name = $this->findings->circuit->refrigerant;

                return new Contradiction(
                    Sentence::of(
                        Reason::BelowRefrigerant,
                        figure: $key->label(),
                        value: Magnitude::difference($figure->si),
                        refrigerant: $name,
                    ),
                    [$pipe, Reading::SuctionPressure],
                );
            }
        }

        return null;
    }

    private function superheatAboveTd(): ?Contradiction
    {
        $superheat = $this->figures->value(DerivedFigure::EvaporatorSuperheat);
        $dew = $this->figures->value(DerivedFigure::SaturatedEvaporator);
        $box = $this->findings->reading(Reading::BoxTemperature);
        if (
            $superheat === null ||
            $dew === null ||
            $box === null ||
            $superheat <= $box - $dew + self::WARMER_THAN_BOX ||
            ($this->findings->circuit->regulator === true &&
                $this->findings->reading(Reading::EvaporatorPressure) === null)
        ) {
            return null;
        }

        return new Contradiction(
            Sentence::of(
                Reason::SuperheatAboveTd,
                superheat: Magnitude::difference($superheat),
                td: Magnitude::difference($box - $dew),
            ),
            [Reading::SuctionTemperatureEvaporator, Reading::BoxTemperature, Reading::SuctionPressure],
        );
    }

    private function heavySubcooling(): ?Contradiction
    {
        $liquid = $this->findings->reading(Reading::CondenserOutletTemperature);
        $ambient = $this->findings->reading(Reading::AmbientTemperature);
        if ($liquid === null || $ambient === null || $liquid >= $ambient - 2.5) {
            return null;
        }

        return new Contradiction(
            Sentence::of(Reason::LiquidColderThanAir, by: Magnitude::difference($ambient - $liquid)),
            [Reading::CondenserOutletTemperature, Reading::AmbientTemperature],
        );
    }

    /** A pipe far hotter than condensing is no liquid pipe (G-03). */
    private function dischargePipe(): ?Contradiction
    {
        $dew = $this->figures->value(DerivedFigure::CondensingDew);
        foreach (
            [
                Reading::CondenserOutletTemperature,
                Reading::ReceiverOutletTemperature,
                Reading::ValveInletTemperature,
            ] as $reading
        ) {
            $pipe = $this->findings->reading($reading);
            if ($reading === Reading::ReceiverOutletTemperature && ReceiverSeal::mayBeLost($this->findings->circuit)) {
                continue;
            }
            if ($pipe !== null && $dew !== null && $pipe > $dew + 10.0) {
                return new Contradiction(
                    Sentence::of(
                        Reason::IsDischargePipe,
                        pipe: $reading->label(),
                        by: Magnitude::difference($pipe - $dew),
                    ),
                    [$reading, Reading::DischargePressure],
                );
            }
        }

        return null;
    }

    private function drier(): ?Contradiction
    {
        $drop = $this->figures->value(DerivedFigure::DrierDrop);
        if ($drop === null || $drop >= -self::WARMER_AFTER_DRIER) {
            return null;
        }

        return new Contradiction(
            Sentence::of(Reason::WarmerAfterDrier, by: Magnitude::difference(-$drop)),
            [Reading::DrierInletTemperature, Reading::DrierOutletTemperature],
        );
    }

    private function hotGas(): ?Contradiction
    {
        $pipe = $this->findings->reading(Reading::DischargeTemperature);
        $dew = $this->figures->value(DerivedFigure::CondensingDew);
        if ($pipe === null || $dew === null || $pipe >= $dew - 3.0) {
            return null;
        }

        return new Contradiction(
            Sentence::of(Reason::DischargeTooCold, by: Magnitude::difference($dew - $pipe)),
            [Reading::DischargeTemperature, Reading::SuctionTemperatureCompressor],
        );
    }

    /** No air-cooled condenser with a receiver, and hardly one without, cools its liquid so far. */
    private function tooMuchSubcooling(): ?Contradiction
    {
        $subcooling = $this->figures->value(DerivedFigure::CondenserSubcooling);
        $floods = $this->findings->circuit->headPressureControl === HeadPressureControl::FloodingValve;
        // A condenser flooded in the cold does hold its liquid near the air.
        if ($subcooling === null || $subcooling < self::MOST_SUBCOOLING || $floods) {
            return null;
        }

        return new Contradiction(
            Sentence::of(Reason::TooMuchSubcooling, value: Magnitude::difference($subcooling)),
            [Reading::DischargePressure, Reading::CondenserOutletTemperature],
        );
    }

    /**
     * Gas in the suction line warms on its way; it cools only where the air around the pipe is colder. A rack's
     * compressors draw what all circuits give, which a starved circuit's own gas is warmer than.
     */
    private function colderOnTheWay(): ?Contradiction
    {
        $gain = $this->figures->value(DerivedFigure::SuctionLineGain);
        $isMixed = $this->findings->circuit->isShared();
        if ($gain === null || $gain >= -self::LOST_ON_THE_WAY || $isMixed || $this->liesInTheCold()) {
            return null;
        }

        return new Contradiction(
            Sentence::of(Reason::ColderOnTheWay, by: Magnitude::difference(-$gain)),
            [Reading::SuctionTemperatureEvaporator, Reading::SuctionTemperatureCompressor],
        );
    }

    /** Whether the air that the suction line passes may cool it. */
    private function liesInTheCold(): bool
    {
        $ambient = $this->findings->reading(Reading::AmbientTemperature);
        $bulb = $this->findings->reading(Reading::SuctionTemperatureEvaporator);

        return $ambient !== null && $bulb !== null && $ambient < $bulb;
    }

    /** Pipes as warm as the air around them belong to a plant that does not run (A-07). */
    private function idle(): ?Contradiction
    {
        $ambient = $this->findings->reading(Reading::AmbientTemperature);
        $box = $this->findings->reading(Reading::BoxTemperature);
        $discharge = $this->findings->reading(Reading::DischargeTemperature);
        $air = array_filter([$ambient, $box], static fn (?float $one): bool => $one !== null);
        if ($air === [] || ($discharge !== null && $discharge > max($air) + self::AS_THE_AIR)) {
            return null;
        }
        $pipes = [];
        foreach (self::PIPES as $reading) {
            $pipe = $this->findings->reading($reading);
            if ($pipe === null) {
                continue;
            }
            if (min(array_map(static fn (float $one): float => abs($pipe - $one), $air)) > self::AS_THE_AIR) {
                return null;
            }
            $pipes[] = $reading;
        }

        return count($pipes) < ($discharge === null ? 4 : 2)
            ? null
            : new Contradiction(
                Sentence::of(Reason::AllAsTheAir),
                $pipes,
            );
    }
}
