<?php

declare(strict_types=1);

namespace Metrum\Plant;

use Metrum\Circuit\Circuit;
use Metrum\Circuit\CondenserPlace;
use Metrum\Circuit\HeadPressureControl;
use Metrum\Circuit\HouseRules;
use Metrum\Circuit\Kind;
use Metrum\Circuit\Reading;
use Metrum\Circuit\State;
use Metrum\Circuit\Wanted;
use Metrum\Findings\Findings;
use Metrum\Refrigerant\OutsideTable;

/**
 * Expectation from design values and house rules alone: box − TD, ambient + split (not below what head control holds),
 * usual superheat, subcooling and line gains. Each deviation is the width of that knowledge, instruments included.
 */
final readonly class DesignExpectation implements Expectation
{
    /** K of dew that a suction line usually costs between coil and compressor. */
    private const LINE_LOSS = 1.2;

    private Circuit $circuit;

    private Wanted $wanted;

    public function __construct(private Findings $findings, private HouseRules $rules)
    {
        $this->circuit = $findings->circuit;
        $this->wanted = new Wanted($this->circuit, $rules);
    }

    public function healthy(string $sign): ?Expected
    {
        $expected = $this->settledValue($sign);

        return $expected?->widened($this->unrest());
    }

    public function run(): array
    {
        $evaporating = $this->evaporating();
        $condensing = $this->condensing();
        $run = [];
        if ($condensing !== null) {
            $glide = $this->glideAt($condensing->value, high: true);
            $width = $condensing->deviation;
            $subcooling = $this->settledValue(
                $this->circuit->hasReceiver() ? 'subcooling_condenser' : 'subcooling',
            );
            $run['condenser_in'] = new Expected($condensing->value + $glide / 2, $width);
            $run['condenser_out'] = new Expected($condensing->value - $glide / 2, $width);
            $liquid = $condensing->value - $glide / 2 - ($subcooling->value ?? 4.0);
            $run['condenser_outlet'] = new Expected($liquid, $width + 1.0);
            $run['receiver_outlet'] = new Expected($liquid - 0.3, $width + 1.2);
            $run['drier_outlet'] = new Expected($liquid - 0.6, $width + 1.4);
            $run['valve_inlet'] = new Expected($liquid - 1.2, $width + 2.0);
        }
        if ($evaporating !== null) {
            $glide = $this->glideAt($evaporating->value, high: false);
            $width = $evaporating->deviation;
            $superheat = $this->wanted->superheat();
            $run['coil_in'] = new Expected($evaporating->value - $glide / 2, $width);
            $run['coil_out'] = new Expected($evaporating->value + $glide / 2, $width);
            $bulb = $evaporating->value + $glide / 2 + $superheat->middle();
            $run['bulb'] = new Expected($bulb, $width + ($superheat->high - $superheat->low) / 2);
            $run['suction_pipe'] = new Expected($bulb + 5.0, $width + 4.0);
        }
        if ($evaporating !== null && $condensing !== null) {
            $discharge = $this->discharge();
            if ($discharge !== null) {
                $run['discharge'] = $discharge;
            }
        }

        return $run;
    }

    /** Middle of the coil (K); by the box now, else by its set point. */
    public function evaporating(): ?Expected
    {
        $box = $this->findings->reading(Reading::BoxTemperature) ?? $this->circuit->design->boxSetPoint;
        $td = $this->settledValue('td_coil');

        return $box === null || $td === null ? null : new Expected($box - $td->value, $td->deviation);
    }

    /** Middle of the condenser (K); null where the air entering it is not known. */
    public function condensing(): ?Expected
    {
        $ambient = $this->findings->reading(Reading::AmbientTemperature);
        $split = $this->settledValue('split');

        return $ambient === null || $split === null
            ? null
            : new Expected($ambient + $split->value, $split->deviation);
    }

    /** Whether the air is so cold that head pressure control has to hold; null where the air is not known. */
    public function isCold(): ?bool
    {
        if ($this->circuit->condenser === CondenserPlace::Water) {
            return false;
        }
        $ambient = $this->findings->reading(Reading::AmbientTemperature);
        if ($ambient === null) {
            return $this->circuit->condenser === CondenserPlace::AirIndoor ? false : null;
        }

        return $ambient + $this->plainSplit() < ($this->wanted->leastCondensing() ?? 298.15);
    }

    private function settledValue(string $sign): ?Expected
    {
        $known = $this->circuit->design;
        $shared = $this->circuit->kind?->isShared() === true;
        $coldFlooding =
            $this->circuit->headPressureControl === HeadPressureControl::FloodingValve &&
            $this->isCold() === true;

        return match ($sign) {
            'td_coil' => $this->td(0.0, 0.0),
            'td_suction' => $this->circuit->regulator === true || $shared
                ? $this->td(4.0, 3.5)
                : $this->td(self::LINE_LOSS, 0.8),
            'split' => $this->split(),
            'superheat' => new Expected(
                $this->wanted->superheat()->middle() + 0.3 * $this->excess(),
                1.6 + 0.1 * $this->excess(),
            ),
            'superheat_suction' => new Expected(
                $this->wanted->superheat()->middle() + self::LINE_LOSS + 0.3 * $this->excess(),
                1.8 + 0.1 * $this->excess(),
            ),
            'superheat_far' => new Expected($this->wanted->superheat()->middle() + 7.0, $shared ? 7.0 : 4.5),
            'subcooling' => $this->circuit->hasReceiver()
                ? new Expected($known->subcooling ?? 3.0, 2.2)
                : new Expected($known->subcooling ?? 6.0, 2.5),
            'subcooling_condenser' => $coldFlooding
                ? new Expected(12.0, 8.0)
                : new Expected($known->subcooling ?? 3.5, 2.5),
            'valve_subcooling' => new Expected(
                1.0 + ($known->subcooling ?? ($this->circuit->hasReceiver() ? 3.0 : 6.0)),
                2.8,
            ),
            'level' => new Expected($coldFlooding ? 0.28 : 0.45, 0.18),
            'over_condenser' => $coldFlooding ? new Expected(6.0, 7.0) : new Expected(-0.5, 1.8),
            'discharge' => new Expected(0.0, 8.0),
            'discharge_level' => $this->discharge(),
            'current' => new Expected(0.74, 0.14),
            'current_residual' => new Expected(0.0, 0.13),
            'line_gain' => new Expected($shared ? 9.0 : 5.0, $shared ? 6.0 : 3.5),
            'line_loss' => new Expected(self::LINE_LOSS, 1.0),
            'regulator_drop' => new Expected(4.0, 3.5),
            'drier' => new Expected(0.3, 0.7),
            'drier_kpa' => new Expected(15e3, 15e3),
            'liquid_line_drop' => new Expected(1.0, 2.0),
            'air_drop', 'air_rise' => new Expected(1.0, 0.35),
            'swing' => new Expected(1.3, 1.3),
            'lowest' => new Expected($this->wanted->superheat()->middle() - 1.0, 1.8),
            'box' => new Expected(0.8, 1.8),
            'fans' => new Expected(1.0, 0.04),
            'pull_down' => new Expected(5.0 / 3600, 4.0 / 3600),
            'floor' => new Expected(10e3, 25e3),
            'rise' => new Expected(3e3 / 60, 8e3 / 60),
            'cut_out' => new Expected(0.0, 6.0),
            'cut_in' => new Expected(0.0, 7.0),
            'oil' => new Expected(250e3, 70e3),
            'fan_delay' => new Expected(-4.0, 4.0),
            'heater' => new Expected(1.0, 0.06),
            'freeze_time' => new Expected(16.0 * 60, 6.0 * 60),
            'water' => new Expected(0.0, 5.0),
            'lift' => new Expected(0.0, 4.0),
            default => null,
        };
    }

    /** Cooling more than planned (a warm box) asks a little more difference of the coil: 4 % a kelvin (coil and compressor lines meet there). */
    private function td(float $more, float $wider): Expected
    {
        $given = $this->circuit->design->evaporatorTd;
        $band = $this->wanted->evaporatorTd();
        $value =
            max($given ?? $band->middle(), $this->wanted->leastTd()) * (1 + 0.04 * $this->excess()) + $more;

        return new Expected(
            $value,
            ($given !== null ? 1.4 : 1.2 + ($band->high - $band->low) / 2) + $wider + 0.1 * $this->excess(),
        );
    }

    private function split(): Expected
    {
        $plain = $this->plainSplit() + 0.25 * $this->excess();
        $width = $this->circuit->design->condenserSplit !== null ? 2.0 : 3.0;
        $ambient = $this->findings->reading(Reading::AmbientTemperature);
        $least = $this->wanted->leastCondensing();
        if ($ambient === null || $least === null || $ambient + $plain > $least + 4.0) {
            return new Expected($plain, $width);
        }

        return new Expected(max($plain, $least - $ambient), $ambient + $plain < $least ? 6.0 : 3.5);
    }

    private function plainSplit(): float
    {
        return $this->circuit->design->condenserSplit ?? $this->wanted->condenserSplit()->middle();
    }

    /** Discharge pipe (K) of a healthy plant: usual superheat at the compressor, 68 % efficiency, a little lost on the way. */
    private function discharge(): ?Expected
    {
        $condensing = $this->condensing();
        $evaporating = $this->evaporating();
        if ($condensing === null || $evaporating === null) {
            return null;
        }
        $fluid = $this->circuit->fluid();
        try {
            $dew = $evaporating->value + $this->glideAt($evaporating->value, high: false) / 2 - self::LINE_LOSS;
            $superheat = $this->wanted->superheat()->middle() + 7.0;
            $head = ($fluid->bubblePressure($condensing->value) + $fluid->dewPressure($condensing->value)) / 2;
            $work = $fluid->isentropicDischarge($dew, $superheat, $head)['work'] / 0.68;
            $hot = $fluid->vapourTemperature($head, $fluid->vapourEnthalpy($dew, $superheat) + $work);
            $around = $this->findings->reading(Reading::AmbientTemperature) ?? 298.15;

            return new Expected($hot - 0.08 * ($hot - $around), 7.0 + $condensing->deviation);
        } catch (OutsideTable) {
            return null;
        }
    }

    private function glideAt(float $middle, bool $high): float
    {
        $fluid = $this->circuit->fluid();
        try {
            $glide = $fluid->glide($fluid->dewPressure($middle));
        } catch (OutsideTable) {
            return 0.0;
        }

        return $high ? $glide : 0.7 * $glide;
    }

    /** K by which the box stands above its set point; 0 where that is not known or it is colder. */
    private function excess(): float
    {
        $box = $this->findings->reading(Reading::BoxTemperature);
        $set = $this->circuit->design->boxSetPoint;

        return $box === null || $set === null ? 0.0 : min(15.0, max(0.0, $box - $set));
    }

    /** How many times wider everything gets while the plant is not known to be settled. */
    public function unrest(): float
    {
        $since = $this->findings->reading(Reading::MinutesSinceDisturbance);
        $early = $since !== null && $since < 60 * $this->rules->band('settle_start')->low ? 1.4 : 1.0;

        return $early *
            match ($this->findings->state) {
                State::RunningSettled => 1.0,
                null => 1.2,
                State::AfterDefrost, State::PullingDown => 1.5,
                State::Starting, State::PumpingDown => 2.0,
                State::Off, State::InDefrost => 3.0,
            } *
            ($this->circuit->kind === Kind::IceMachine ? 1.3 : 1.0);
    }
}
