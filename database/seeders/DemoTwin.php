<?php

namespace Database\Seeders;

use Metrum\Installation\Circuit;
use Metrum\Knowledge\Reading;
use Metrum\Learning\DirtyCondenser;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\QuantityKind;
use Metrum\Twin\Dice;
use Metrum\Twin\Sizing;
use Metrum\Twin\SteadyState;
use Metrum\Twin\Surroundings;

/** Readings of a plant in its weather as its twin shows them, its condenser more or less dirty, by people's clamps. */
final readonly class DemoTwin
{
    /** K by which a clamp is off from visit to visit, and share by which a gauge is. */
    private const CLAMP = 0.25;

    private const GAUGE = 0.003;

    public function __construct(private Circuit $circuit)
    {
    }

    /**
     * @param  array{ambient: float, box: float, dirt: float, seed: int}  $given  °C, and K of split
     * @return array<string, float> by reading, SI (gauge Pa)
     */
    public function readings(array $given): array
    {
        $machine = DirtyCondenser::of((new Sizing($this->circuit))->machine(), (float) $given['dirt']);
        $around = new Surroundings(
            $given['ambient'] + Celsius::ZERO,
            $given['box'] + Celsius::ZERO,
            atmosphere: $this->circuit->atmosphere->pascal,
        );
        $dice = new Dice($given['seed']);
        $read = [];
        foreach ((new SteadyState($machine, $around))->find()->readings as $key => $si) {
            $kind = Reading::from($key)->quantity();
            $clamped = $kind === QuantityKind::Temperature ? $dice->around($si, self::CLAMP) : $si;
            $isGauge = $kind === QuantityKind::GaugePressure;
            $read[$key] = $isGauge ? $si * $dice->around(1.0, self::GAUGE) : $clamped;
        }

        return $read;
    }
}
