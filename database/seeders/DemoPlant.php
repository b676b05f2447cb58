<?php

namespace Database\Seeders;

use Metrum\Installation\Circuit;
use Metrum\Knowledge\Reading;
use Metrum\Refrigerant\Refrigerant;

/**
 * Readings of a plant in a stated condition, computed from the property tables so that they agree with each other.
 *
 * Given are the differences that a fault moves (TD, split, superheat, subcooling …); pressures and pipe temperatures
 * follow.
 *
 * @phpstan-type Given array{
 *   box: float, ambient: float, td: float, split: float, superheat: float, subcooling: float,
 *   gain?: float, air_drop?: float, air_rise?: float, drier?: float, line?: float,
 *   efficiency?: float, current?: float, regulator_k?: float
 * }
 */
final readonly class DemoPlant
{
    private Refrigerant $fluid;

    public function __construct(private Circuit $circuit)
    {
        $this->fluid = $circuit->fluid();
    }

    /**
     * @param  Given  $given  °C and K, current as a share
     * @return array<string, float> by reading, SI (gauge Pa)
     */
    public function readings(array $given): array
    {
        $box = $given['box'] + 273.15;
        $ambient = $given['ambient'] + 273.15;
        $head = $this->pressure(
            fn (float $p): float => ($this->fluid->dewTemperature($p) + $this->fluid->bubbleTemperature($p)) / 2,
            $ambient + $given['split'],
        );
        $liquid = $this->fluid->bubbleTemperature($head) - $given['subcooling'];
        $before = $liquid - ($given['drier'] ?? 0.4);
        $valve = $before - ($given['line'] ?? 0.8);
        $coil = $this->pressure(
            fn (float $p): float => ($this->fluid->dewTemperature($p) + $this->inlet($p, $valve)) / 2,
            $box - $given['td'],
        );
        $suction = $this->fluid->dewPressure(
            $this->fluid->dewTemperature($coil) - ($given['regulator_k'] ?? 0.0),
        );
        $bulb = $this->fluid->dewTemperature($coil) + $given['superheat'];
        $pipe = $bulb + ($given['gain'] ?? 4.5);
        $readings = [
            Reading::SuctionPressure->value => $suction,
            Reading::DischargePressure->value => $head,
            Reading::AmbientTemperature->value => $ambient,
            Reading::BoxTemperature->value => $box,
            Reading::SupplyAirTemperature->value => $box - ($given['air_drop'] ?? 0.5 * $given['td']),
            Reading::CondenserAirOutTemperature->value => $ambient + ($given['air_rise'] ?? 0.55 * $given['split']),
            Reading::SuctionTemperatureEvaporator->value => $bulb,
            Reading::SuctionTemperatureCompressor->value => $pipe,
            Reading::CondenserOutletTemperature->value => $liquid + ($this->circuit->hasReceiver() ? 0.4 : 0.0),
            Reading::ReceiverOutletTemperature->value => $liquid,
            Reading::DrierInletTemperature->value => $liquid - 0.1,
            Reading::DrierOutletTemperature->value => $before,
            Reading::ValveInletTemperature->value => $valve,
            Reading::DischargeTemperature->value => $this->discharge(
                $suction,
                $pipe,
                $head,
                $ambient,
                $given['efficiency'] ?? 0.68,
            ),
        ];
        if ($this->circuit->regulator === true) {
            $readings[Reading::EvaporatorPressure->value] = $coil;
        }
        if ($this->circuit->design->ratedCurrent !== null) {
            $readings[Reading::CompressorCurrent->value] =
                $this->circuit->design->ratedCurrent * ($given['current'] ?? 0.74);
        }

        return $this->gauge($readings);
    }

    private function discharge(
        float $suction,
        float $pipe,
        float $head,
        float $ambient,
        float $efficiency,
    ): float {
        $dew = $this->fluid->dewTemperature($suction);
        $superheat = max(0.5, $pipe - $dew);
        $work = $this->fluid->isentropicDischarge($dew, $superheat, $head)['work'] / $efficiency;
        $hot = $this->fluid->vapourTemperature($head, $this->fluid->vapourEnthalpy($dew, $superheat) + $work);

        return $hot - 0.08 * ($hot - $ambient);
    }

    private function inlet(float $p, float $liquid): float
    {
        $bubble = $this->fluid->bubbleTemperature($p);
        $dew = $this->fluid->dewTemperature($p);
        $low = $this->fluid->liquidEnthalpy($bubble);
        $quality = ($this->fluid->liquidEnthalpy($liquid) - $low) / ($this->fluid->vapourEnthalpy($dew) - $low);

        return $bubble + max(0.0, min(1.0, $quality)) * ($dew - $bubble);
    }

    /** @param  callable(float): float  $temperature  rising with pressure */
    private function pressure(callable $temperature, float $wanted): float
    {
        $low = 40e3;
        $high = 3e6;
        for ($round = 0; $round < 60; $round++) {
            $middle = ($low + $high) / 2;
            $temperature($middle) > $wanted ? ($high = $middle) : ($low = $middle);
        }

        return ($low + $high) / 2;
    }

    /**
     * @param  array<string, float>  $readings
     * @return array<string, float>
     */
    private function gauge(array $readings): array
    {
        foreach (
            [Reading::SuctionPressure, Reading::DischargePressure, Reading::EvaporatorPressure] as $reading
        ) {
            if (isset($readings[$reading->value])) {
                $readings[$reading->value] = $this->circuit->atmosphere->gauge($readings[$reading->value]);
            }
        }

        return $readings;
    }
}
