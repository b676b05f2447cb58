<?php

namespace Database\Seeders;

use Metrum\Installation\Circuit;
use Metrum\Knowledge\Cause;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Celsius;
use Metrum\Twin\Ice\IceCycle;
use Metrum\Twin\Ice\IceDisorder;
use Metrum\Twin\Ice\IceSizing;
use Metrum\Twin\Ice\IceWeather;

/** Readings of an ice machine in a stated condition, as its twin shows them in that air with that water. */
final readonly class DemoIce
{
    public function __construct(private Circuit $circuit)
    {
    }

    /**
     * @param  array{air: float, water: float, minute?: float, ills?: list<array{string, float, 2?: string}>}  $given
     *                                                            °C, min; faults with their severity and cause
     * @return array<string, float> by reading, SI (gauge Pa)
     */
    public function readings(array $given): array
    {
        $machine = IceSizing::of($this->circuit)->machine();
        foreach ($given['ills'] ?? [] as $ill) {
            $cause = isset($ill[2]) ? Cause::from($ill[2]) : null;
            $machine = IceDisorder::in($machine, Fault::from($ill[0]), $ill[1], $cause);
        }
        $air = $given['air'] + Celsius::ZERO;
        $water = $given['water'] + Celsius::ZERO;
        $sink = IceWeather::sink($this->circuit, $air, $water);
        $cycle = IceCycle::of($machine, new IceWeather($air, $water, $sink));
        if ($cycle === null) {
            throw new \LogicException('This machine does not run so.');
        }
        $minute = 60 * ($given['minute'] ?? 6);
        $read = $cycle->readingsAt($minute);
        $rated = $this->circuit->design->ratedCurrent;
        $bridge = $this->circuit->design->bridgeThickness ?? 0.004;

        return [
            ...$read,
            Reading::CompressorCurrent->value => $read[Reading::CompressorCurrent->value] *
                ($rated === null ? 1.0 : $rated / $machine->loop->ratedCurrent),
            Reading::AmbientTemperature->value => $air,
            Reading::WaterTemperature->value => $water,
            Reading::FreezeMinute->value => $minute,
            Reading::SumpTemperature->value => $cycle->sumpAt($minute),
            Reading::FreezeTime->value => $cycle->freeze,
            Reading::HarvestTime->value => $cycle->harvest,
            Reading::IcePerCycle->value => $cycle->ice,
            Reading::WaterPerCycle->value => $cycle->water / 1e3,
            Reading::MeasuredBridge->value => $bridge * (1 + 1.5 * ($cycle->thickness - 1)),
            Reading::SuctionBegin->value => $cycle->readingsAt(IceCycle::BEGIN)[Reading::SuctionPressure->value],
            Reading::SuctionEnd->value => $cycle->readingsAt($cycle->last())[Reading::SuctionPressure->value],
            Reading::DischargeEnd->value => $cycle->readingsAt($cycle->last())[Reading::DischargePressure->value],
            Reading::CyclesSinceStart->value => 3.0,
        ];
    }
}
