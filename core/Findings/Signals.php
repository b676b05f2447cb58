<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Quantity\Celsius;
use Metrum\Refrigerant\OutsideTable;

/** Draws the signs out of findings: of a plant as it was read, and of its twin in the same way. SI. */
final readonly class Signals
{
    /** Share of the coil's difference by which its air falls, of the condenser's by which its air rises. */
    private const AIR_DROP = 0.5;

    private const AIR_RISE = 0.55;

    /** K of lift that pass enough liquid through most valves. */
    private const LEAST_LIFT = 25.0;

    /** K of box above its set point from which head reads high. */
    private const FAR_FROM_SET_POINT = 5.0;

    /** s after a defrost within which a coil has cooled down to where its fans start. */
    private const COOLED_DOWN = 600.0;

    public function __construct(private Findings $findings, private Figures $figures, private Yardstick $by)
    {
    }

    /** Null where it is not known, or says nothing at such a plant or while it stands still. */
    public function measured(Sign $sign): ?float
    {
        $row = $sign->row();
        if (
            ! $row->fit->asks($this->findings->circuit) ||
            ($row->running && $this->findings->wereOff($row->needs))
        ) {
            return null;
        }
        foreach ($row->without as $reading) {
            if ($this->read($reading) !== null) {
                return null;
            }
        }

        return $this->worked($sign);
    }

    private function worked(Sign $sign): ?float
    {
        return match ($sign) {
            Sign::TdCoil => $this->atCoil(DerivedFigure::EvaporatorTd),
            Sign::TdSuction => $this->figure(DerivedFigure::EvaporatorTd) ?? $this->belowSetPoint(),
            Sign::Split => $this->isSteady() ? $this->figure(DerivedFigure::CondenserSplit) : null,
            Sign::Superheat => $this->atCoil(DerivedFigure::EvaporatorSuperheat),
            Sign::SuperheatSuction => $this->figure(DerivedFigure::EvaporatorSuperheat),
            Sign::SuperheatFar => $this->figure(DerivedFigure::CompressorSuperheat),
            Sign::Subcooling => $this->liquidSubcooling(),
            Sign::SubcoolingCondenser => $this->figure(DerivedFigure::CondenserSubcooling),
            Sign::ValveSubcooling => $this->figure(DerivedFigure::ValveSubcooling),
            Sign::Level => $this->read(Reading::ReceiverLevel),
            Sign::OverCondenser => $this->difference(
                Reading::ReceiverOutletTemperature,
                Reading::CondenserOutletTemperature,
            ),
            Sign::Discharge => $this->dischargeOverExpected(),
            Sign::DischargeLevel => $this->read(Reading::DischargeTemperature),
            Sign::Current => $this->figure(DerivedFigure::CurrentShare),
            Sign::CurrentResidual => $this->currentResidual(),
            Sign::LineGain => $this->figure(DerivedFigure::SuctionLineGain),
            Sign::LineLoss, Sign::RegulatorDrop => $this->lossInKelvin(),
            Sign::Drier => $this->figure(DerivedFigure::DrierDrop),
            Sign::DrierKpa => $this->read(Reading::DrierDrop),
            Sign::LiquidLineDrop => $this->liquidLineDrop(),
            Sign::AirDrop => $this->ofExpected(DerivedFigure::CoilAirDrop, self::AIR_DROP, $this->by->tdCoil),
            Sign::AirRise => $this->ofExpected(DerivedFigure::CondenserAirRise, self::AIR_RISE, $this->by->split),
            Sign::Swing => $this->read(Reading::SuperheatSwing),
            Sign::Lowest => $this->read(Reading::SuperheatLowest),
            Sign::Box => $this->figure(DerivedFigure::BoxAboveSetPoint),
            Sign::Fans => $this->fans(),
            Sign::PullDown => $this->read(Reading::PullDownRate),
            Sign::Floor => $this->read(Reading::PumpDownFloor),
            Sign::Rise => $this->read(Reading::PumpDownRise),
            Sign::Standing => StandingHead::overAmbient($this->findings),
            Sign::CutOut => LowPressureCut::Out->againstWanted($this->findings, $this->by),
            Sign::CutIn => LowPressureCut::In->againstWanted($this->findings, $this->by),
            Sign::Oil => $this->read(Reading::OilPressureDifference),
            Sign::FanDelay => $this->fanDelay(),
            Sign::Heater => $this->share(Reading::HeaterCurrent, Reading::HeaterRatedCurrent),
            Sign::Lift => $this->liftShortage(),
            Sign::FreezeTime,
            Sign::Water,
            Sign::HarvestTime,
            Sign::IceCycle,
            Sign::IceRate,
            Sign::IceDay,
            Sign::Bridge,
            Sign::WaterCycle,
            Sign::SuctionBegin,
            Sign::SuctionEnd,
            Sign::FreezeFall,
            Sign::HeadEnd,
            Sign::Sump,
            Sign::SuctionHarvest,
            Sign::HeadHarvest => IceSignals::measured($sign, $this->findings),
        };
    }

    private function read(Reading $reading): ?float
    {
        return $this->findings->reading($reading);
    }

    private function figure(DerivedFigure $key): ?float
    {
        return $this->figures->value($key);
    }

    /** TD to the set point where nobody read the box: coarse, yet a vacuum is told by it. */
    private function belowSetPoint(): ?float
    {
        $set = $this->findings->circuit->design->boxSetPoint;
        $coil = $this->figure(DerivedFigure::CoilMiddle);

        return $set === null || $coil === null || $this->read(Reading::BoxTemperature) !== null
            ? null
            : $set - $coil;
    }

    /** Head is not judged while the plant has just started or the box is far from its set point (J-02). */
    private function isSteady(): bool
    {
        $state = $this->findings->stateOf(Reading::DischargePressure);
        $above = $this->figure(DerivedFigure::BoxAboveSetPoint);

        return ! in_array($state, [State::Starting, State::PullingDown], true) &&
            ($above === null || $above <= self::FAR_FROM_SET_POINT);
    }

    /** Share of the fans that turn; that they stand in defrost is as it should be. */
    private function fans(): ?float
    {
        return $this->findings->stateOf(Reading::FansRunning) === State::InDefrost
            ? null
            : $this->share(Reading::FansRunning, Reading::FansFitted);
    }

    /** A figure of the coil by the coil's own pressure. */
    private function atCoil(DerivedFigure $key): ?float
    {
        return $this->read(Reading::EvaporatorPressure) === null ? null : $this->figure($key);
    }

    private function difference(Reading $from, Reading $less): ?float
    {
        $a = $this->read($from);
        $b = $this->read($less);

        return $a === null || $b === null ? null : $a - $b;
    }

    private function share(Reading $part, Reading $whole): ?float
    {
        $a = $this->read($part);
        $b = $this->read($whole);

        return $a === null || $b === null || $b <= 0.0 ? null : $a / $b;
    }

    /** At the start of the liquid line: the receiver's outlet, or the pipe before the drier where that was clamped. */
    private function liquidSubcooling(): ?float
    {
        if (! $this->findings->circuit->hasReceiver()) {
            return $this->figure(DerivedFigure::CondenserSubcooling);
        }
        $receiver = $this->figure(DerivedFigure::ReceiverSubcooling);
        $pipe = $this->read(Reading::DrierInletTemperature);
        $pressure =
            $this->findings->absolute(Reading::ReceiverPressure) ??
            $this->findings->absolute(Reading::DischargePressure);
        if ($receiver !== null || $pipe === null || $pressure === null) {
            return $receiver;
        }
        try {
            return $this->findings->circuit->fluid()->bubbleTemperature($pressure) - $pipe;
        } catch (OutsideTable) {
            return null;
        }
    }

    private function liquidLineDrop(): ?float
    {
        $end = $this->read(Reading::ValveInletTemperature);
        $start =
            $this->read(Reading::ReceiverOutletTemperature) ??
            ($this->read(Reading::DrierInletTemperature) ?? $this->read(Reading::CondenserOutletTemperature));

        return $end === null || $start === null ? null : $start - $end;
    }

    /** Null while the fans rest as they should: in a defrost, and after it until the coil has had time to cool down. */
    private function fanDelay(): ?float
    {
        $since = $this->read(Reading::MinutesSinceDisturbance);
        $rests = match ($this->findings->state) {
            State::InDefrost => true,
            State::AfterDefrost => $since === null || $since < self::COOLED_DOWN,
            default => false,
        };

        return $rests ? null : $this->difference(Reading::FanDelaySensor, Reading::FanDelaySet);
    }

    private function dischargeOverExpected(): ?float
    {
        $measured = $this->read(Reading::DischargeTemperature);
        $expected = $this->figure(DerivedFigure::ExpectedDischarge);

        return $measured === null || $expected === null ? null : $measured - $expected;
    }

    private function lossInKelvin(): ?float
    {
        $coil = $this->atCoil(DerivedFigure::SaturatedEvaporator);
        $suction = $this->figure(DerivedFigure::SaturatedSuction);

        return $coil === null || $suction === null ? null : $coil - $suction;
    }

    /** Measured air difference ÷ what the sound plant's difference would give. */
    private function ofExpected(DerivedFigure $air, float $share, ?float $sound): ?float
    {
        $measured = $this->figure($air);

        return $measured === null || $sound === null || $sound < 1.0 ? null : $measured / ($share * $sound);
    }

    /**
     * Share of rated current less the share that flow and lift at these pressures would draw.
     *
     * Power goes with density × loss-free work; at usual pressures a plant draws 0.74 of the rated current, and a third
     * of it whatever the load.
     */
    private function currentResidual(): ?float
    {
        $share = $this->figure(DerivedFigure::CurrentShare);
        $dew = $this->figure(DerivedFigure::SaturatedSuction);
        $head = $this->findings->absolute(Reading::DischargePressure);
        $set = $this->findings->circuit->design->boxSetPoint;
        if (
            $share === null ||
            $dew === null ||
            $head === null ||
            $this->by->tdSuction === null ||
            $set === null
        ) {
            return null;
        }
        $fluid = $this->findings->circuit->fluid();
        $power = static fn (float $suction, float $pressure): float => $fluid->vapourDensity($suction, 10.0) *
            $fluid->isentropicDischarge($suction, 10.0, $pressure)['work'];
        try {
            $usual = $power($set - $this->by->tdSuction, $fluid->bubblePressure(Celsius::ZERO + 38.0));
            if ($head <= $fluid->dewPressure($dew)) {
                return null;
            }

            return $share - 0.74 * (0.35 + (0.65 * $power($dew, $head)) / $usual);
        } catch (OutsideTable) {
            return null;
        }
    }

    /** How far condensing less evaporating falls short of the least lift, K below 0; 0 where it does not. */
    private function liftShortage(): ?float
    {
        $high = $this->figure(DerivedFigure::CondensingMiddle);
        $low = $this->figure(DerivedFigure::SaturatedEvaporator);

        return $high === null || $low === null ? null : min(0.0, $high - $low - self::LEAST_LIFT);
    }
}
