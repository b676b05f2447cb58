<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Findings\Findings;
use Metrum\Findings\Place;
use Metrum\Findings\Sign;
use Metrum\Findings\UsualFigure;
use Metrum\Findings\UsualOf;
use Metrum\Findings\Yardstick;
use Metrum\Installation\Circuit;
use Metrum\Installation\CondenserPlace;
use Metrum\Installation\LoadKind;
use Metrum\Installation\UsualCompressor;
use Metrum\Knowledge\HouseRule;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Wanted;
use Metrum\Quantity\Celsius;
use Metrum\Refrigerant\OutsideTable;

/**
 * Expectation from design values and house rules alone: box − TD, ambient + split (not below what head control holds),
 * usual superheat, subcooling and line gains. Each deviation is the width of that knowledge, instruments included.
 */
final readonly class DesignExpectation implements Expectation
{
    /** K of dew that a suction line usually costs between coil and compressor. */
    private const LINE_LOSS = 1.2;

    /** K of superheat at the compressor over that at the bulb, as discharge is reckoned with. */
    private const GAIN_TO_COMPRESSOR = 7.0;

    /** More difference at the coil for each kelvin above set point: coil and compressor lines meet there. */
    private const TD_PER_EXCESS = 0.04;

    private const SPLIT_PER_EXCESS = 0.25;

    private const WIDER_PER_EXCESS = 0.1;

    /** K of box above set point that count. */
    private const MOST_EXCESS = 15.0;

    /** K of condensing that a plant without head control is not meant to go below. */
    private const LEAST_CONDENSING = Celsius::ZERO + 25.0;

    private Circuit $circuit;

    private Wanted $wanted;

    public function __construct(private Findings $findings, private HouseRules $rules)
    {
        $this->circuit = $findings->circuit;
        $this->wanted = new Wanted($this->circuit, $rules);
    }

    public function healthy(Sign $sign): ?Expected
    {
        // What is counted or set does not wait for the plant to settle.
        $moves = $sign->row()->instrument !== null || $sign === Sign::Box;

        return $this->settledValue($sign)?->widened($moves ? $this->unrest() : 1.0);
    }

    public function reading(Reading $reading): ?Expected
    {
        return null;
    }

    public function by(): string
    {
        return 'design values and house rules';
    }

    public function yardstick(): Yardstick
    {
        return new Yardstick(
            $this->healthy(Sign::TdCoil)?->value,
            $this->healthy(Sign::TdSuction)?->value,
            $this->healthy(Sign::Split)?->value,
        );
    }

    public function run(): array
    {
        $evaporating = $this->evaporating();
        $condensing = $this->condensing();
        $sign = $this->circuit->hasReceiver() ? Sign::SubcoolingCondenser : Sign::Subcooling;
        $run = new DesignRun($this->circuit->fluid(), $this->wanted->superheat());
        $discharge = $evaporating === null || $condensing === null ? null : $this->discharge();

        return [
            ...$condensing === null ? [] : $run->high($condensing, $this->settledValue($sign)->value ?? 4.0),
            ...$evaporating === null ? [] : $run->low($evaporating),
            ...$discharge === null ? [] : [Place::Discharge->value => $discharge],
        ];
    }

    /** Middle of the coil (K); by the box now, else by its set point. */
    public function evaporating(): ?Expected
    {
        $box = $this->findings->reading(Reading::BoxTemperature) ?? $this->circuit->design->boxSetPoint;
        $td = $this->td();

        return $box === null ? null : new Expected($box - $td->value, $td->deviation);
    }

    /** Middle of the condenser (K); null where the air entering it is not known. */
    public function condensing(): ?Expected
    {
        $ambient = $this->findings->reading(Reading::AmbientTemperature);
        $split = $this->split();

        return $ambient === null ? null : new Expected($ambient + $split->value, $split->deviation);
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

        return $ambient + $this->plainSplit() < ($this->wanted->leastCondensing() ?? self::LEAST_CONDENSING);
    }

    /** How many times wider everything gets while the plant is not known to be settled. */
    public function unrest(): float
    {
        $since = $this->findings->reading(Reading::MinutesSinceDisturbance);
        $wait = $this->rules->band(HouseRule::SettleStart)->low;
        $early = $since !== null && $since < $wait ? 1.4 : 1.0;
        $state = match ($this->findings->state) {
            State::RunningSettled, State::Freezing => 1.0,
            null => 1.2,
            State::AfterDefrost, State::PullingDown => 1.5,
            State::Starting, State::PumpingDown => 2.0,
            State::Off, State::InDefrost, State::Harvesting => 3.0,
        };

        return $early * $state * ($this->circuit->cools(LoadKind::IceMachine) ? 1.3 : 1.0);
    }

    private function settledValue(Sign $sign): ?Expected
    {
        $usual = $sign->row()->usual($this->circuit, $this->isCold());
        $from = $this->figureOf($usual);
        if ($from === null) {
            return null;
        }
        $excess = $this->excess();

        return new Expected($from->value + $usual->value($excess), $from->deviation + $usual->spread($excess));
    }

    private function figureOf(UsualFigure $usual): ?Expected
    {
        return match ($usual->of) {
            null => new Expected(0.0, 0.0),
            UsualOf::Td => $this->td(),
            UsualOf::Split => $this->split(),
            UsualOf::Superheat => new Expected($this->wanted->superheat()->middle(), 0.0),
            UsualOf::Subcooling => new Expected($this->circuit->design->subcooling ?? $usual->otherwise, 0.0),
            UsualOf::Discharge => $this->discharge(),
        };
    }

    private function td(): Expected
    {
        $given = $this->circuit->design->evaporatorTd;
        $band = $this->wanted->evaporatorTd();
        $planned = max($given ?? $band->middle(), $this->wanted->leastTd());
        $width = $given !== null ? 1.4 : 1.2 + ($band->high - $band->low) / 2;
        $excess = $this->excess();

        return new Expected(
            $planned * (1 + self::TD_PER_EXCESS * $excess),
            $width + self::WIDER_PER_EXCESS * $excess,
        );
    }

    private function split(): Expected
    {
        $plain = $this->plainSplit() + self::SPLIT_PER_EXCESS * $this->excess();
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

    /** Discharge pipe (K) of a healthy plant. */
    private function discharge(): ?Expected
    {
        $condensing = $this->condensing();
        $evaporating = $this->evaporating();
        if ($condensing === null || $evaporating === null) {
            return null;
        }
        $fluid = $this->circuit->fluid();
        try {
            $glide = DesignRun::COIL_GLIDE * DesignRun::glideAt($fluid, $evaporating->value);
            $dew = $evaporating->value + $glide / 2 - self::LINE_LOSS;
            $superheat = $this->wanted->superheat()->middle() + self::GAIN_TO_COMPRESSOR;
            $head = ($fluid->bubblePressure($condensing->value) + $fluid->dewPressure($condensing->value)) / 2;
            $ideal = $fluid->isentropicDischarge($dew, $superheat, $head)['work'];
            $work = $ideal * UsualCompressor::intoGas($head / $fluid->dewPressure($dew));
            $hot = $fluid->vapourTemperature($head, $fluid->vapourEnthalpy($dew, $superheat) + $work);
        } catch (OutsideTable) {
            return null;
        }
        $around = $this->findings->reading(Reading::AmbientTemperature) ?? self::LEAST_CONDENSING;

        return new Expected(
            UsualCompressor::pipeTemperature($hot, $around),
            7.0 + $condensing->deviation,
        );
    }

    /** K by which the box stands above its set point; 0 where that is not known or it is colder. */
    private function excess(): float
    {
        $box = $this->findings->reading(Reading::BoxTemperature);
        $set = $this->circuit->design->boxSetPoint;

        return $box === null || $set === null ? 0.0 : min(self::MOST_EXCESS, max(0.0, $box - $set));
    }
}
