<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\Observation;
use Metrum\Circuit\Reading;
use Metrum\Circuit\Word;
use Metrum\Findings\Derived;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Quantity\Format;
use Metrum\Refrigerant\Library;
use Metrum\Refrigerant\OutsideTable;

/** Looks for readings that contradict each other or physics (knowledge §1; G-03, G-05, G-09, J-18). */
final readonly class Contradictions
{
    public function __construct(private Findings $findings, private Figures $figures)
    {
    }

    /** @return list<Contradiction> */
    public function all(): array
    {
        $found = [
            $this->fans(),
            $this->pressureOrder(
                Reading::ReceiverPressure,
                Reading::DischargePressure,
                'The receiver reads above the discharge',
                30e3,
            ),
        ];
        if ($this->findings->isOff()) {
            $found[] = $this->standingPressure();
        } else {
            array_push(
                $found,
                $this->superheat(),
                $this->superheatAboveTd(),
                $this->heavySubcooling(),
                $this->dischargePipe(),
                $this->pumping(),
                $this->coilCold(),
                $this->condenserHot(),
                $this->drier(),
                $this->air(),
                $this->hotGas(),
                $this->pressureOrder(
                    Reading::SuctionPressure,
                    Reading::EvaporatorPressure,
                    'The suction reads above the coil',
                    15e3,
                ),
                $this->currentWhileOff(),
            );
        }
        foreach (
            [
                Reading::SuctionPressure,
                Reading::EvaporatorPressure,
                Reading::DischargePressure,
                Reading::ReceiverPressure,
            ] as $pressure
        ) {
            $found[] = $this->outsideTable($pressure);
        }

        return array_values(array_filter($found));
    }

    private function outsideTable(Reading $reading): ?Contradiction
    {
        $pressure = $this->findings->absolute($reading);
        if ($pressure === null) {
            return null;
        }
        try {
            $this->findings->circuit->fluid()->dewTemperature($pressure);
            $this->findings->circuit->fluid()->bubbleTemperature($pressure);

            return null;
        } catch (OutsideTable $reason) {
            return new Contradiction(
                $reason->getMessage().' '.$reading->label().', unit or refrigerant is wrong.',
                [$reading],
            );
        }
    }

    private function superheat(): ?Contradiction
    {
        foreach (
            [
                [Derived::EvaporatorSuperheat, Reading::SuctionTemperatureEvaporator],
                [Derived::CompressorSuperheat, Reading::SuctionTemperatureCompressor],
            ] as [$key, $pipe]
        ) {
            $figure = $this->figures->figure($key);
            if ($figure?->meaning !== null && str_contains($figure->meaning, 'beyond')) {
                return new Contradiction(
                    $figure->key->label().
                        ' '.
                        self::k($figure->si).
                        ' is below what '.
                        $this->findings->circuit->refrigerant.
                        ' can show: check the refrigerant, then the clamp, then the gauge.',
                    [$pipe, Reading::SuctionPressure],
                );
            }
        }

        return null;
    }

    private function superheatAboveTd(): ?Contradiction
    {
        $superheat = $this->figures->value(Derived::EvaporatorSuperheat);
        $dew = $this->figures->value(Derived::SaturatedEvaporator);
        $box = $this->findings->reading(Reading::BoxTemperature);
        if (
            $superheat === null ||
            $dew === null ||
            $box === null ||
            $superheat <= $box - $dew + 1.5 ||
            ($this->findings->circuit->regulator === true &&
                $this->findings->reading(Reading::EvaporatorPressure) === null)
        ) {
            return null;
        }

        return new Contradiction(
            'Superheat '.
                self::k($superheat).
                ' is more than box air above evaporating ('.
                self::k($box - $dew).
                '): gas cannot leave the coil warmer than the air that enters it.',
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
            'The liquid leaves the condenser '.
                self::k($ambient - $liquid).
                ' colder than the air that cools it.',
            [Reading::CondenserOutletTemperature, Reading::AmbientTemperature],
        );
    }

    /** A pipe far hotter than condensing is no liquid pipe (G-03). */
    private function dischargePipe(): ?Contradiction
    {
        $dew = $this->figures->value(Derived::CondensingDew);
        foreach (
            [
                Reading::CondenserOutletTemperature,
                Reading::ReceiverOutletTemperature,
                Reading::ValveInletTemperature,
            ] as $reading
        ) {
            $pipe = $this->findings->reading($reading);
            if ($pipe !== null && $dew !== null && $pipe > $dew + 10.0) {
                return new Contradiction(
                    $reading->label().
                        ' is '.
                        self::k($pipe - $dew).
                        ' above condensing: is that the discharge pipe? Gas is first cooled to condensing, then condensed, then subcooled.',
                    [$reading, Reading::DischargePressure],
                );
            }
        }

        return null;
    }

    private function pumping(): ?Contradiction
    {
        $suction = $this->findings->reading(Reading::SuctionPressure);
        $head = $this->findings->reading(Reading::DischargePressure);
        if ($suction === null || $head === null || $head > $suction + 20e3) {
            return null;
        }

        return new Contradiction(
            'Discharge pressure is not above suction pressure while the compressor is said to run.',
            [Reading::DischargePressure, Reading::SuctionPressure],
        );
    }

    private function coilCold(): ?Contradiction
    {
        $dew = $this->figures->value(Derived::SaturatedEvaporator);
        $box = $this->findings->reading(Reading::BoxTemperature);
        if ($dew === null || $box === null || $dew <= $box + 1.5) {
            return null;
        }

        return new Contradiction(
            'Evaporating at dew is '.
                self::k($dew - $box).
                ' warmer than the box: a running coil is colder than its air. Is the refrigerant right?',
            [Reading::SuctionPressure, Reading::BoxTemperature],
        );
    }

    private function condenserHot(): ?Contradiction
    {
        $bubble = $this->figures->value(Derived::CondensingDew);
        $ambient = $this->findings->reading(Reading::AmbientTemperature);
        if ($bubble === null || $ambient === null || $bubble >= $ambient - 1.0) {
            return null;
        }

        return new Contradiction(
            'Condensing is '.
                self::k($ambient - $bubble).
                ' colder than the air entering the condenser, which cannot be while it gives off heat.',
            [Reading::AmbientTemperature, Reading::DischargePressure],
        );
    }

    private function drier(): ?Contradiction
    {
        $drop = $this->figures->value(Derived::DrierDrop);
        if ($drop === null || $drop >= -1.0) {
            return null;
        }

        return new Contradiction(
            'The pipe is '.
                self::k(-$drop).
                ' warmer after the drier than before it: clamps swapped, or the wrong pipe.',
            [Reading::DrierInletTemperature, Reading::DrierOutletTemperature],
        );
    }

    private function air(): ?Contradiction
    {
        $drop = $this->figures->value(Derived::CoilAirDrop);
        $supply = $this->findings->reading(Reading::SupplyAirTemperature);
        $inlet = $this->figures->value(Derived::CoilInlet);
        if ($supply !== null && $inlet !== null && $supply < $inlet - 1.5) {
            return new Contradiction(
                'The air leaves the coil '.self::k($inlet - $supply).' colder than the coil itself.',
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

        return new Contradiction('The air leaves the coil '.self::k(-$drop).' warmer than it enters.', [
            Reading::SupplyAirTemperature,
            Reading::BoxTemperature,
        ]);
    }

    private function hotGas(): ?Contradiction
    {
        $pipe = $this->findings->reading(Reading::DischargeTemperature);
        $dew = $this->figures->value(Derived::CondensingDew);
        if ($pipe === null || $dew === null || $pipe >= $dew - 3.0) {
            return null;
        }

        return new Contradiction(
            'The discharge pipe is '.
                self::k($dew - $pipe).
                ' below condensing: the clamp is loose or too far away, or much liquid is returning.',
            [Reading::DischargeTemperature, Reading::SuctionTemperatureCompressor],
        );
    }

    private function fans(): ?Contradiction
    {
        $running = $this->findings->reading(Reading::FansRunning);
        $fitted = $this->findings->reading(Reading::FansFitted);

        return match (true) {
            $running === null || $fitted === null => null,
            $running > $fitted => new Contradiction(
                'More coil fans run ('.
                    Format::number($running, 0).
                    ') than are fitted ('.
                    Format::number($fitted, 0).
                    ').',
                [Reading::FansFitted, Reading::FansRunning],
            ),
            $running < $fitted && $this->findings->saw(Observation::EvaporatorFans, Word::AllRunning) => new Contradiction(
                'All coil fans were seen running, but only '.
                    Format::number($running, 0).
                    ' of '.
                    Format::number($fitted, 0).
                    ' were counted.',
                [Reading::FansRunning, Observation::EvaporatorFans],
            ),
            default => null,
        };
    }

    private function currentWhileOff(): ?Contradiction
    {
        if (
            $this->findings->reading(Reading::CompressorCurrent) !== 0.0 ||
            ! $this->findings->saw(Observation::Compressor, Word::Running)
        ) {
            return null;
        }

        return new Contradiction('The compressor is said to run, but draws no current.', [
            Reading::CompressorCurrent,
            Observation::Compressor,
        ]);
    }

    private function pressureOrder(
        Reading $lower,
        Reading $higher,
        string $words,
        float $tolerance,
    ): ?Contradiction {
        $low = $this->findings->reading($lower);
        $high = $this->findings->reading($higher);
        if ($low === null || $high === null || $low <= $high + $tolerance) {
            return null;
        }

        return new Contradiction(
            $words.
                ' by '.
                Format::number(($low - $high) / 1e3, 0).
                ' kPa; refrigerant flows the other way.',
            [$lower, $higher],
        );
    }

    /** Standing pressure against saturation at the air around: does the refrigerant fit, and which would (G-09)? */
    private function standingPressure(): ?Contradiction
    {
        $pressure =
            $this->findings->absolute(Reading::ReceiverPressure) ??
            $this->findings->absolute(Reading::DischargePressure);
        $ambient = $this->findings->reading(Reading::AmbientTemperature);
        if ($pressure === null || $ambient === null || $pressure < 150e3) {
            return null;
        }
        $misses = [];
        foreach (Library::standard()->names() as $name) {
            $fluid = Library::standard()->get($name);
            try {
                $bubble = $fluid->bubbleTemperature($pressure);
                $dew = $fluid->dewTemperature($pressure);
                $misses[$name] = max(0.0, $bubble - $ambient, $ambient - $dew);
            } catch (OutsideTable) {
                continue;
            }
        }
        $own = $misses[$this->findings->circuit->refrigerant] ?? INF;
        if ($own < 4.0) {
            return null;
        }
        asort($misses);
        $fits = array_slice(
            array_keys(array_filter($misses, static fn (float $miss): bool => $miss < 1.5)),
            0,
            4,
        );

        return new Contradiction(
            'The standing pressure does not fit '.
                $this->findings->circuit->refrigerant.
                ' at this air temperature'.
                (is_finite($own) ? ' (off by '.self::k($own).')' : '').
                ($fits === [] ? '.' : '; it would fit '.implode(', ', $fits).'.').
                ' Has it stood long enough, and is the refrigerant right?',
            [Reading::DischargePressure, Reading::AmbientTemperature],
        );
    }

    private static function k(float $kelvin): string
    {
        return Format::number($kelvin, 1, true).' K';
    }
}
