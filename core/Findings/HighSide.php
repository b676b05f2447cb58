<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Circuit\HouseRules;
use Metrum\Circuit\Reading;
use Metrum\Quantity\Kind;
use Metrum\Refrigerant\Refrigerant;

/** Works the figures of condenser, liquid line and discharge. Gauge readings become absolute by the site's atmosphere. */
final readonly class HighSide
{
    /** Isentropic efficiency and loss to the air before the clamp that the discharge pipe is expected with (knowledge: 0.6 to 0.75). */
    private const EFFICIENCY = 0.68;

    private const LINE_LOSS_SHARE = 0.08;

    private Refrigerant $fluid;

    public function __construct(private Findings $findings, private HouseRules $rules, private Figures $figures)
    {
        $this->fluid = $findings->circuit->fluid();
    }

    public function work(): void
    {
        $head = $this->findings->absolute(Reading::DischargePressure);
        if ($head !== null) {
            $from = $this->input(Reading::DischargePressure);
            $this->figures->add(
                Derived::SaturatedCondensing,
                fn (): float => $this->fluid->bubbleTemperature($head),
                'bubble temperature at the discharge pressure (absolute)',
                $from,
            );
            $this->figures->add(
                Derived::CondensingDew,
                fn (): float => $this->fluid->dewTemperature($head),
                'dew temperature at the discharge pressure (absolute)',
                $from,
            );
            $this->figures->add(
                Derived::CondensingMiddle,
                fn (): float => ($this->fluid->dewTemperature($head) + $this->fluid->bubbleTemperature($head)) /
                    2,
                'mean of dew and bubble temperature at the discharge pressure',
                $from,
            );
        }
        $this->subcooling(Derived::CondenserSubcooling, Reading::CondenserOutletTemperature, [
            Reading::DischargePressure,
            Reading::ReceiverPressure,
        ]);
        $this->subcooling(Derived::ReceiverSubcooling, Reading::ReceiverOutletTemperature, [
            Reading::ReceiverPressure,
            Reading::DischargePressure,
        ]);
        $this->subcooling(Derived::ValveSubcooling, Reading::ValveInletTemperature, [
            Reading::ReceiverPressure,
            Reading::DischargePressure,
        ]);
        $this->mainSubcooling();
        $this->airSide();
        $this->difference(
            Derived::DrierDrop,
            Reading::DrierInletTemperature,
            Reading::DrierOutletTemperature,
            'pipe before the drier − pipe after it',
        );
    }

    /** What needs the suction side too: ratio and the discharge that loss-free and real compression would give. */
    public function workWithSuction(): void
    {
        $suction = $this->findings->absolute(Reading::SuctionPressure);
        $head = $this->findings->absolute(Reading::DischargePressure);
        if ($suction === null || $head === null || $suction <= 0.0) {
            return;
        }
        $from = $this->input(Reading::DischargePressure) + $this->input(Reading::SuctionPressure);
        $this->figures->add(
            Derived::CompressionRatio,
            static fn (): float => $head / $suction,
            'absolute discharge pressure ÷ absolute suction pressure',
            $from,
        );
        $superheat = $this->figures->value(Derived::CompressorSuperheat);
        $dew = $this->figures->value(Derived::SaturatedSuction);
        if ($superheat === null || $dew === null || $head <= $suction) {
            return;
        }
        if ($superheat < 0.0) {
            $this->figures->unknown[Derived::IdealDischarge->value] =
                'The suction gas reads below saturation: liquid may be returning, so its state is not known.';

            return;
        }
        $from += $this->input(Reading::SuctionTemperatureCompressor);
        $this->figures->add(
            Derived::IdealDischarge,
            fn (): float => $this->fluid->isentropicDischarge($dew, $superheat, $head)['temperature'],
            'temperature after compression without loss from the compressor\'s suction state to the discharge pressure',
            $from,
        );
        $this->figures->add(
            Derived::ExpectedDischarge,
            function () use ($dew, $superheat, $head): float {
                $ideal = $this->fluid->isentropicDischarge($dew, $superheat, $head);
                $hot = $this->fluid->vapourTemperature(
                    $head,
                    $this->fluid->vapourEnthalpy($dew, $superheat) + $ideal['work'] / self::EFFICIENCY,
                );
                $around = $this->findings->reading(Reading::AmbientTemperature) ?? 298.15;

                return $hot - self::LINE_LOSS_SHARE * ($hot - $around);
            },
            'compression at 68 % isentropic efficiency, less 8 % of the difference to the air on the way to the clamp',
            $from,
        );
    }

    /** @param  list<Reading>  $pressures  the first one measured is used */
    private function subcooling(Derived $key, Reading $pipe, array $pressures): void
    {
        $temperature = $this->findings->reading($pipe);
        foreach ($pressures as $reading) {
            $pressure = $this->findings->absolute($reading);
            if ($temperature === null || $pressure === null) {
                continue;
            }
            $this->figures->add(
                $key,
                fn (): float => $this->fluid->bubbleTemperature($pressure) - $temperature,
                'bubble temperature at the '.
                    mb_strtolower($reading->label()).
                    ' − '.
                    mb_strtolower($pipe->label()),
                $this->input($reading) + $this->input($pipe),
            );
            $figure = $this->figures->figure($key);
            $meaning = match (true) {
                $figure === null => null,
                $figure->si < -1.0 => 'Negative: no liquid seal there, gas or a mixture in the pipe, heat reaching the liquid, or a wrong reading.',
                $key === Derived::ValveSubcooling => 'By the pressure at the start of the line: a restriction on the way makes it read high.',
                default => null,
            };
            if ($figure !== null && $meaning !== null) {
                $this->figures->add(
                    $key,
                    static fn (): float => $figure->si,
                    $figure->formula,
                    $figure->inputs,
                    $meaning,
                );
            }

            return;
        }
    }

    /** Where a receiver stands, its outlet tells of the seal; else the condenser's outlet; else the valve's inlet. */
    private function mainSubcooling(): void
    {
        $order = $this->findings->circuit->hasReceiver()
            ? [Derived::ReceiverSubcooling, Derived::CondenserSubcooling, Derived::ValveSubcooling]
            : [Derived::CondenserSubcooling, Derived::ReceiverSubcooling, Derived::ValveSubcooling];
        foreach ($order as $key) {
            $figure = $this->figures->figure($key);
            if ($figure !== null) {
                $this->figures->add(
                    Derived::Subcooling,
                    static fn (): float => $figure->si,
                    $figure->formula,
                    $figure->inputs,
                    $figure->meaning,
                );

                return;
            }
        }
    }

    private function airSide(): void
    {
        $ambient = $this->findings->reading(Reading::AmbientTemperature);
        $middle = $this->rules->judgesAtMidGlide();
        $condensing = $this->figures->value($middle ? Derived::CondensingMiddle : Derived::SaturatedCondensing);
        if ($ambient !== null && $condensing !== null) {
            $this->figures->add(
                Derived::CondenserSplit,
                static fn (): float => $condensing - $ambient,
                ($middle ? 'condensing at mid-glide' : 'condensing at bubble').
                    ' − air entering the condenser',
                $this->input(Reading::DischargePressure) + $this->input(Reading::AmbientTemperature),
            );
        }
        $this->difference(
            Derived::CondenserApproach,
            Reading::CondenserOutletTemperature,
            Reading::AmbientTemperature,
            'liquid leaving the condenser − air entering it',
        );
        $this->difference(
            Derived::CondenserAirRise,
            Reading::CondenserAirOutTemperature,
            Reading::AmbientTemperature,
            'air leaving − air entering the condenser',
        );
        $rated = $this->findings->circuit->design->ratedCurrent;
        $current = $this->findings->reading(Reading::CompressorCurrent);
        if ($rated !== null && $current !== null) {
            $this->figures->add(
                Derived::CurrentShare,
                static fn (): float => $current / $rated,
                'current ÷ rated current of the plate',
                $this->input(Reading::CompressorCurrent) + ['Rated current' => [$rated, Kind::Current]],
            );
        }
    }

    private function difference(Derived $key, Reading $from, Reading $less, string $formula): void
    {
        $a = $this->findings->reading($from);
        $b = $this->findings->reading($less);
        if ($a !== null && $b !== null) {
            $this->figures->add(
                $key,
                static fn (): float => $a - $b,
                $formula,
                $this->input($from) + $this->input($less),
            );
        }
    }

    /** @return array<string, array{float, Kind}> */
    private function input(Reading $reading): array
    {
        return [$reading->label() => [(float) $this->findings->reading($reading), $reading->quantity()]];
    }
}
