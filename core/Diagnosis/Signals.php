<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\Reading;
use Metrum\Findings\Derived;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Plant\Expectation;
use Metrum\Refrigerant\OutsideTable;

/** Draws the measured signs out of findings and figures. What stands still or is not known gives no sign. */
final readonly class Signals
{
    /** Signs that tell something only while refrigerant is being pumped. */
    private const RUNNING = [
        'td_coil',
        'td_suction',
        'split',
        'superheat',
        'superheat_suction',
        'superheat_far',
        'subcooling',
        'subcooling_condenser',
        'valve_subcooling',
        'over_condenser',
        'discharge',
        'discharge_level',
        'current',
        'current_residual',
        'line_gain',
        'line_loss',
        'regulator_drop',
        'drier',
        'drier_kpa',
        'liquid_line_drop',
        'air_drop',
        'air_rise',
        'lift',
    ];

    public function __construct(
        private Findings $findings,
        private Figures $figures,
        private Expectation $expectation,
    ) {
    }

    /** @return array<string, Signal> */
    public function all(): array
    {
        $off = $this->findings->isOff();
        $signals = [];
        foreach (Sign::all() as $key => $sign) {
            if ($off && in_array($key, self::RUNNING, true)) {
                continue;
            }
            $measured = $this->measured($key);
            $expected = $measured === null ? null : $this->expectation->healthy($key);
            if ($measured !== null && $expected !== null) {
                $signals[$key] = new Signal($sign, $measured, $expected);
            }
        }

        return $signals;
    }

    private function measured(string $key): ?float
    {
        $regulated = $this->findings->circuit->regulator === true;
        $coilKnown = $this->read(Reading::EvaporatorPressure) !== null;

        return match ($key) {
            'td_coil' => $coilKnown ? $this->figure(Derived::EvaporatorTd) : null,
            'td_suction' => $coilKnown ? null : $this->figure(Derived::EvaporatorTd),
            'split' => $this->figure(Derived::CondenserSplit),
            'superheat' => $coilKnown ? $this->figure(Derived::EvaporatorSuperheat) : null,
            'superheat_suction' => $regulated || $coilKnown
                ? null
                : $this->figure(Derived::EvaporatorSuperheat),
            'superheat_far' => $this->read(Reading::SuctionTemperatureEvaporator) === null && ! $regulated
                ? $this->figure(Derived::CompressorSuperheat)
                : null,
            'subcooling' => $this->liquidSubcooling(),
            'subcooling_condenser' => $this->findings->circuit->hasReceiver()
                ? $this->figure(Derived::CondenserSubcooling)
                : null,
            'valve_subcooling' => $this->figure(Derived::ValveSubcooling),
            'level' => $this->read(Reading::ReceiverLevel),
            'over_condenser' => $this->difference(
                Reading::ReceiverOutletTemperature,
                Reading::CondenserOutletTemperature,
            ),
            'discharge' => $this->dischargeOverExpected(),
            'discharge_level' => $this->read(Reading::DischargeTemperature),
            'current' => $this->figure(Derived::CurrentShare),
            'current_residual' => $this->currentResidual(),
            'line_gain' => $this->figure(Derived::SuctionLineGain),
            'line_loss' => $regulated ? null : $this->lossInKelvin(),
            'regulator_drop' => $regulated ? $this->lossInKelvin() : null,
            'drier' => $this->figure(Derived::DrierDrop),
            'drier_kpa' => $this->read(Reading::DrierDrop),
            'liquid_line_drop' => $this->liquidLineDrop(),
            'air_drop' => $this->ofExpected(Derived::CoilAirDrop, 'td_coil', 0.5),
            'air_rise' => $this->ofExpected(Derived::CondenserAirRise, 'split', 0.55),
            'swing' => $this->read(Reading::SuperheatSwing),
            'lowest' => $this->read(Reading::SuperheatLowest),
            'box' => $this->figure(Derived::BoxAboveSetPoint),
            'fans' => $this->share(Reading::FansRunning, Reading::FansFitted),
            'pull_down' => $this->read(Reading::PullDownRate),
            'floor' => $this->read(Reading::PumpDownFloor),
            'rise' => $this->read(Reading::PumpDownRise),
            'cut_out' => $this->cut(Reading::LowCutOut),
            'cut_in' => $this->cut(Reading::LowCutIn),
            'oil' => $this->read(Reading::OilPressureDifference),
            'fan_delay' => $this->difference(Reading::FanDelaySensor, Reading::FanDelaySet),
            'heater' => $this->share(Reading::HeaterCurrent, Reading::HeaterRatedCurrent),
            'freeze_time' => $this->read(Reading::FreezeTime),
            'water' => $this->read(Reading::WaterTemperature) === null
                ? null
                : $this->read(Reading::WaterTemperature) - 288.15,
            'lift' => $this->liftShortage(),
            default => null,
        };
    }

    private function read(Reading $reading): ?float
    {
        return $this->findings->reading($reading);
    }

    private function figure(Derived $key): ?float
    {
        return $this->figures->value($key);
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

    /** At the start of the liquid line: the receiver's outlet, or the pipe before the drier where that was clamped instead. */
    private function liquidSubcooling(): ?float
    {
        if (! $this->findings->circuit->hasReceiver()) {
            return $this->figure(Derived::CondenserSubcooling);
        }
        $receiver = $this->figure(Derived::ReceiverSubcooling);
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

    private function dischargeOverExpected(): ?float
    {
        $measured = $this->read(Reading::DischargeTemperature);
        $expected = $this->figure(Derived::ExpectedDischarge);

        return $measured === null || $expected === null ? null : $measured - $expected;
    }

    private function lossInKelvin(): ?float
    {
        $coil = $this->figure(Derived::SaturatedEvaporator);
        $suction = $this->figure(Derived::SaturatedSuction);

        return $coil === null || $suction === null || $this->read(Reading::EvaporatorPressure) === null
            ? null
            : $coil - $suction;
    }

    /** Measured air difference ÷ what the design difference of the coil would give. */
    private function ofExpected(Derived $air, string $sign, float $share): ?float
    {
        $measured = $this->figure($air);
        $design = $this->expectation->healthy($sign);

        return $measured === null || $design === null || $design->value < 1.0
            ? null
            : $measured / ($share * $design->value);
    }

    /** Share of rated current less the share that flow and lift at these pressures would draw (density × loss-free work). */
    private function currentResidual(): ?float
    {
        $share = $this->figure(Derived::CurrentShare);
        $dew = $this->figure(Derived::SaturatedSuction);
        $head = $this->findings->absolute(Reading::DischargePressure);
        $td = $this->expectation->healthy('td_suction');
        $set = $this->findings->circuit->design->boxSetPoint;
        if ($share === null || $dew === null || $head === null || $td === null || $set === null) {
            return null;
        }
        $fluid = $this->findings->circuit->fluid();
        try {
            $power = static fn (float $suction, float $pressure): float => $fluid->vapourDensity(
                $suction,
                10.0,
            ) * $fluid->isentropicDischarge($suction, 10.0, $pressure)['work'];
            $usual = $power($set - $td->value, $fluid->bubblePressure(311.15));

            return $head <= $fluid->dewPressure($dew)
                ? null
                : $share - 0.74 * (0.35 + (0.65 * $power($dew, $head)) / $usual);
        } catch (OutsideTable) {
            return null;
        }
    }

    /** Saturation at the cut less where box and TD want it: 14 K below the coil (never in vacuum) for out, 3 K below the box for in. */
    private function cut(Reading $reading): ?float
    {
        $pressure = $this->findings->absolute($reading);
        $set = $this->findings->circuit->design->boxSetPoint;
        $td = $this->expectation->healthy('td_coil');
        if ($pressure === null || $set === null || $td === null) {
            return null;
        }
        $fluid = $this->findings->circuit->fluid();
        try {
            $floor = $fluid->dewTemperature($this->findings->circuit->atmosphere->absolute(10e3));
            $wanted = $reading === Reading::LowCutOut ? max($floor, $set - $td->value - 14.0) : $set - 3.0;

            return $fluid->dewTemperature($pressure) - $wanted;
        } catch (OutsideTable) {
            return null;
        }
    }

    /** How far condensing less evaporating falls short of the 25 K that passes enough liquid through most valves; 0 where it does not. */
    private function liftShortage(): ?float
    {
        $high = $this->figure(Derived::CondensingMiddle);
        $low = $this->figure(Derived::SaturatedEvaporator);

        return $high === null || $low === null ? null : min(0.0, $high - $low - 25.0);
    }
}
