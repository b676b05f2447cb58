<?php

declare(strict_types=1);

namespace Metrum\Learning\Ice;

use Metrum\Installation\CondenserPlace;
use Metrum\Knowledge\Reading;
use Metrum\Learning\InstrumentReadings;
use Metrum\Twin\Dice;
use Metrum\Twin\Ice\IceCycle;
use Metrum\Twin\Ice\IceWeather;

/** What people's instruments make of one cycle of a drawn ice machine. */
final readonly class IceEntries
{
    /** s into the freeze before which nobody reads it. */
    private const FIRST = 90.0;

    /** K of sump, water and of the place where they are taken. */
    private const WATER = 0.5;

    /** Share of a time by a watch, of a weight, of a rule, of a water meter. */
    private const TIME = 0.025;

    private const HARVEST = 0.07;

    private const WEIGHT = 0.025;

    private const RULE = 0.07;

    private const METER = 0.06;

    /** How much more bridges grow than the batch. */
    private const BRIDGING = [1.0, 2.0];

    /** Pa of a gauge that is read while the pressure moves. */
    private const GAUGE = 5e3;

    /** K by which the suction of a harvest stands below the sink, and what is left of the head's lift. */
    private const HARVEST_SUCTION = [12.0, 22.0];

    private const HARVEST_HEAD = [0.25, 0.65];

    public function __construct(private Dice $dice, private DrawnIceMachine $drawn, private IceWeather $weather)
    {
    }

    /** @return array<string, float> by key of Reading, SI */
    public function readings(IceCycle $cycle): array
    {
        $dice = $this->dice;
        $minute = $dice->between(self::FIRST, max(self::FIRST + 30.0, $cycle->freeze - 30.0));
        $state = $cycle->course->state($cycle->placeAt($minute));
        $read = (new InstrumentReadings($dice))->of($state->showing($cycle->readingsAt($minute)));
        unset($read[Reading::BoxTemperature->value], $read[Reading::SupplyAirTemperature->value]);
        if ($this->drawn->circuit->condenser === CondenserPlace::Water) {
            unset($read[Reading::CondenserAirOutTemperature->value]);
        }

        return [
            ...$read,
            Reading::AmbientTemperature->value => $dice->around($this->weather->air, self::WATER),
            Reading::FreezeMinute->value => $minute,
            Reading::WaterTemperature->value => $dice->around($this->weather->water, self::WATER),
            Reading::SumpTemperature->value => $dice->around($cycle->sumpAt($minute), self::WATER),
            Reading::FreezeTime->value => $cycle->freeze * $dice->factor(self::TIME),
            Reading::HarvestTime->value => $cycle->harvest * $dice->factor(self::HARVEST),
            Reading::IcePerCycle->value => $cycle->ice * $dice->factor(self::WEIGHT),
            Reading::MeasuredBridge->value => $this->bridge($cycle),
            Reading::WaterPerCycle->value => $cycle->water / 1e3 * $dice->factor(self::METER),
            Reading::SuctionBegin->value => $this->at($cycle, IceCycle::BEGIN, Reading::SuctionPressure),
            Reading::SuctionEnd->value => $this->at($cycle, $cycle->last(), Reading::SuctionPressure),
            Reading::DischargeEnd->value => $this->at($cycle, $cycle->last(), Reading::DischargePressure),
            ...$this->inHarvest($cycle),
        ];
    }

    private function at(IceCycle $cycle, float $time, Reading $of): float
    {
        $gauge = $cycle->readingsAt(min($time, $cycle->last()))[$of->value];

        return $gauge * $this->dice->factor(0.008) + $this->dice->around(0.0, self::GAUGE);
    }

    private function bridge(IceCycle $cycle): float
    {
        $thick = $cycle->thickness * (1 + $cycle->uneven * $this->dice->between(-0.4, 1.0));
        $grown = 1 + $this->dice->between(...self::BRIDGING) * ($thick - 1);

        return max(0.0, $this->drawn->bridge * $grown * $this->dice->factor(self::RULE));
    }

    /** @return array<string, float> */
    private function inHarvest(IceCycle $cycle): array
    {
        $fluid = $this->drawn->circuit->fluid();
        $air = $this->weather->atmosphere;
        $head = $cycle->readingsAt($cycle->last())[Reading::DischargePressure->value] + $air;
        $condensing = $fluid->bubbleTemperature(max(1e5, $head));
        $sink = $this->weather->sink;
        // With a gas valve that hardly opens the head stays up and the suction falls.
        $short = min(1.0, max(0.0, log($cycle->harvest / 120.0)));
        $suction = $sink - $this->dice->between(...self::HARVEST_SUCTION) - 6.0 * $short;
        $left = $this->dice->between(...self::HARVEST_HEAD);

        return [
            Reading::SuctionHarvest->value => $fluid->dewPressure($suction) - $air,
            Reading::DischargeHarvest->value => $fluid->bubblePressure($sink + $left * ($condensing - $sink)) - $air,
        ];
    }
}
