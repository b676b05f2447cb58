<?php

declare(strict_types=1);

namespace Metrum\Learning\Ice;

use Metrum\Diagnosis\Grade;
use Metrum\Knowledge\Cause;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Reading;
use Metrum\Twin\Dice;
use Metrum\Twin\Ice\IceCycle;
use Metrum\Twin\Ice\IceDisorder;
use Metrum\Twin\Ice\IceMachine;
use Metrum\Twin\Ice\IceWeather;

/** How far what is wrong with an ice machine has gone: as often mild as moderate as severe, by what it costs. */
final readonly class IceExtent
{
    private const BEGINNING = 0.06;

    /** Share of the ice below which nobody notices. */
    private const NOTICED = 0.045;

    private const TRIES = 5;

    /** What a share of the harvest's time, of the batch, of the water and a kelvin of superheat count as ice lost. */
    private const HARVEST = 0.13;

    private const BATCH = 0.6;

    private const WATER = 0.16;

    private const WET = 0.05;

    public function __construct(
        private Dice $dice,
        private IceMachine $used,
        private IceWeather $weather,
        private IceCycle $sound,
    ) {
    }

    /** @return ?array{list<array{Fault, ?Cause, float}>, IceCycle, Grade} null where it never shows, or nothing runs */
    public function drawn(Fault $fault, ?Cause $cause): ?array
    {
        $wanted = $this->dice->one(Grade::cases());
        [$low, $high] = [self::BEGINNING, 1.0];
        $found = null;
        for ($try = 0; $try < self::TRIES; $try++) {
            $severity = $this->dice->between($low, $high);
            $cycle = IceCycle::of(IceDisorder::in($this->used, $fault, $severity, $cause), $this->weather);
            $cost = $cycle === null ? 1.0 : $this->cost($cycle);
            if ($cycle !== null && $cost >= self::NOTICED) {
                $found = [[[$fault, $cause, $severity]], $cycle, Grade::ofEffect($cost)];
            }
            if ($cost >= self::NOTICED && $cycle !== null && Grade::ofEffect($cost) === $wanted) {
                break;
            }
            if ($cost < self::NOTICED || $cost < $wanted->least()) {
                $low = $severity;
            } else {
                $high = $severity;
            }
        }

        return $found;
    }

    /** Share of the ice of a day that it costs, or what counts as much. */
    private function cost(IceCycle $cycle): float
    {
        $sound = $this->sound;
        $head = $this->condensing($cycle) - $this->condensing($sound);

        return max(
            Grade::effect(1 - $cycle->perDay() / $sound->perDay(), $head),
            self::HARVEST * abs(log($cycle->harvest / $sound->harvest)) / log(1.5),
            self::BATCH * abs($cycle->ice / $sound->ice - 1),
            self::WATER * log(max(1.0, $cycle->water / $sound->water)),
            self::WET * max(0.0, $this->superheat($sound) - $this->superheat($cycle)),
        );
    }

    private function condensing(IceCycle $cycle): float
    {
        $gauge = $cycle->readingsAt($cycle->last())[Reading::DischargePressure->value];

        return $this->used->loop->fluid->bubbleTemperature(max(1e5, $gauge + $this->weather->atmosphere));
    }

    /** K at the bulb in the middle of the freeze. */
    private function superheat(IceCycle $cycle): float
    {
        $read = $cycle->readingsAt($cycle->freeze / 2);
        $suction = max(2e4, $read[Reading::SuctionPressure->value] + $this->weather->atmosphere);

        return $read[Reading::SuctionTemperatureEvaporator->value] - $this->used->loop->fluid->dewTemperature($suction);
    }
}
