<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Installation\CondenserPlace;
use Metrum\Installation\DesignKey;
use Metrum\Installation\LoadKind;
use Metrum\Installation\UsualCompressor;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\Format;
use Metrum\Quantity\Magnitude;
use Metrum\Quantity\Units;
use Metrum\Refrigerant\Refrigerant;

/** Works the figures of condenser, liquid line and discharge. Gauge readings become absolute by the atmosphere. */
final readonly class HighSideFigures
{
    /** K around the line where its air is not known. */
    private const USUAL_AIR = Celsius::ZERO + 25.0;

    private Refrigerant $fluid;

    public function __construct(private Findings $findings, private HouseRules $rules, private Figures $figures)
    {
        $this->fluid = $findings->circuit->fluid();
    }

    public function work(): void
    {
        $this->saturations();
        $discharge = Reading::DischargePressure;
        $receiver = Reading::ReceiverPressure;
        $this->subcooling(DerivedFigure::CondenserSubcooling, Reading::CondenserOutletTemperature, [
            $discharge,
            $receiver,
        ]);
        $this->subcooling(DerivedFigure::ReceiverSubcooling, Reading::ReceiverOutletTemperature, [
            $receiver,
            $discharge,
        ]);
        $this->subcooling(DerivedFigure::ValveSubcooling, Reading::ValveInletTemperature, [$receiver, $discharge]);
        $this->mainSubcooling();
        $this->airSide();
        $this->current();
        $this->difference(
            DerivedFigure::DrierDrop,
            Reading::DrierInletTemperature,
            Reading::DrierOutletTemperature,
            'line before the drier − line after it',
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
        $this->figures->work(
            DerivedFigure::CompressionRatio,
            'absolute discharge pressure ÷ absolute suction pressure',
            [Reading::DischargePressure, Reading::SuctionPressure],
            static fn (): float => $head / $suction,
        );
        $superheat = $this->figures->value(DerivedFigure::CompressorSuperheat);
        $dew = $this->figures->value(DerivedFigure::SaturatedSuction);
        if ($superheat === null || $dew === null || $head <= $suction) {
            return;
        }
        if ($superheat < 0.0) {
            $this->figures->leave(
                DerivedFigure::IdealDischarge,
                'Suction gas reads below saturation: liquid may be returning, so no calculation.',
            );

            return;
        }
        $this->discharge($dew, $superheat, $head, $head / $suction);
    }

    private function saturations(): void
    {
        $at = $this->headReading();
        $head = $this->findings->absolute($at);
        if ($head === null) {
            return;
        }
        $from = [$at];
        $this->figures->work(
            DerivedFigure::SaturatedCondensing,
            'bubble temperature at the %1$s (absolute)',
            $from,
            fn (): float => $this->fluid->bubbleTemperature($head),
        );
        $this->figures->work(
            DerivedFigure::CondensingDew,
            'dew temperature at the %1$s (absolute)',
            $from,
            fn (): float => $this->fluid->dewTemperature($head),
        );
        $this->figures->work(
            DerivedFigure::CondensingMiddle,
            'mean of dew and bubble temperature at the %1$s',
            $from,
            fn (): float => ($this->fluid->dewTemperature($head) + $this->fluid->bubbleTemperature($head)) / 2,
        );
    }

    /** Where the head is read: at the discharge, else at the receiver. */
    private function headReading(): Reading
    {
        return $this->findings->reading(Reading::DischargePressure) === null
            ? Reading::ReceiverPressure
            : Reading::DischargePressure;
    }

    private function discharge(float $dew, float $superheat, float $head, float $ratio): void
    {
        $from = [Reading::DischargePressure, Reading::SuctionPressure, Reading::SuctionTemperatureCompressor];
        $this->figures->work(
            DerivedFigure::IdealDischarge,
            'isentropic compression from suction state to discharge pressure',
            $from,
            fn (): float => $this->fluid->isentropicDischarge($dew, $superheat, $head)['temperature'],
        );
        $this->figures->work(
            DerivedFigure::ExpectedDischarge,
            self::asUsual($ratio),
            $from,
            fn (): float => $this->atClamp($dew, $superheat, $head, $ratio),
        );
    }

    /** How the gas is taken to be compressed, in words; a formula's own marks are doubled. */
    private static function asUsual(float $ratio): string
    {
        $share = static fn (float $share): string => Magnitude::share($share)->in(new Units()).'%';
        $efficiency = $share(UsualCompressor::isentropicEfficiency($ratio));
        $usual = Format::number($ratio, 1, true);

        return "compression at $efficiency isentropic efficiency, as usual at a ratio of $usual, ".
            'less '.$share(UsualCompressor::SHELL_LOSS).' through the shell and '.$share(UsualCompressor::PIPE_LOSS).
            ' of the difference to the air on the way to the clamp';
    }

    /** K at the clamp on the discharge pipe. */
    private function atClamp(float $dew, float $superheat, float $head, float $ratio): float
    {
        $ideal = $this->fluid->isentropicDischarge($dew, $superheat, $head)['work'];
        $work = $ideal * UsualCompressor::intoGas($ratio);
        $hot = $this->fluid->vapourTemperature($head, $this->fluid->vapourEnthalpy($dew, $superheat) + $work);
        $around = $this->findings->reading(Reading::AmbientTemperature) ?? self::USUAL_AIR;

        return UsualCompressor::pipeTemperature($hot, $around);
    }

    /** @param  list<Reading>  $pressures  the first one measured is used */
    private function subcooling(DerivedFigure $key, Reading $pipe, array $pressures): void
    {
        $temperature = $this->findings->reading($pipe);
        foreach ($pressures as $reading) {
            $pressure = $this->findings->absolute($reading);
            if ($temperature === null || $pressure === null) {
                continue;
            }
            $this->figures->work(
                $key,
                'bubble temperature at the %1$s − %2$s',
                [$reading, $pipe],
                fn (): float => $this->fluid->bubbleTemperature($pressure) - $temperature,
                static fn (float $value): ?Meaning => match (true) {
                    $value < -1.0 => Meaning::NoLiquidSeal,
                    $key === DerivedFigure::ValveSubcooling => Meaning::ReadsHighBehindRestriction,
                    default => null,
                },
            );

            return;
        }
    }

    private function mainSubcooling(): void
    {
        $order = $this->findings->circuit->hasReceiver()
            ? [DerivedFigure::ReceiverSubcooling, DerivedFigure::CondenserSubcooling, DerivedFigure::ValveSubcooling]
            : [DerivedFigure::CondenserSubcooling, DerivedFigure::ReceiverSubcooling, DerivedFigure::ValveSubcooling];
        $this->figures->takeFirst(DerivedFigure::Subcooling, ...$order);
    }

    private function airSide(): void
    {
        $enters = $this->entering();
        $what = $enters === Reading::AmbientTemperature ? 'air' : 'water';
        $ambient = $this->findings->reading($enters);
        $middle = $this->rules->judgesAtMidGlide();
        $condensing = $this->figures->value(
            $middle ? DerivedFigure::CondensingMiddle : DerivedFigure::SaturatedCondensing,
        );
        if ($ambient !== null && $condensing !== null) {
            $this->figures->work(
                DerivedFigure::CondenserSplit,
                ($middle ? 'condensing at mid-glide' : 'condensing at bubble')." − $what entering the condenser",
                [$this->headReading(), $enters],
                static fn (): float => $condensing - $ambient,
            );
        }
        $this->difference(
            DerivedFigure::CondenserApproach,
            Reading::CondenserOutletTemperature,
            $enters,
            "liquid leaving the condenser − $what entering it",
        );
        $this->difference(
            DerivedFigure::CondenserAirRise,
            Reading::CondenserAirOutTemperature,
            Reading::AmbientTemperature,
            'air leaving − air entering the condenser',
        );
    }

    /** What enters the condenser: of an ice machine on water that water, or the inlet water where it was not read. */
    private function entering(): Reading
    {
        $circuit = $this->findings->circuit;
        if (! $circuit->cools(LoadKind::IceMachine) || $circuit->condenser !== CondenserPlace::Water) {
            return Reading::AmbientTemperature;
        }

        return $this->findings->reading(Reading::CondenserWaterIn) === null
            ? Reading::WaterTemperature
            : Reading::CondenserWaterIn;
    }

    private function current(): void
    {
        $rated = $this->findings->circuit->design->ratedCurrent;
        $current = $this->findings->reading(Reading::CompressorCurrent);
        if ($rated !== null && $current !== null) {
            $this->figures->work(
                DerivedFigure::CurrentShare,
                'current ÷ rated current (nameplate)',
                [Reading::CompressorCurrent, DesignKey::RatedCurrent],
                static fn (): float => $current / $rated,
            );
        }
    }

    private function difference(DerivedFigure $key, Reading $from, Reading $less, string $formula): void
    {
        $a = $this->findings->reading($from);
        $b = $this->findings->reading($less);
        if ($a !== null && $b !== null) {
            $this->figures->work($key, $formula, [$from, $less], static fn (): float => $a - $b);
        }
    }
}
