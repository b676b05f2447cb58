<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;

/** Superheat at the coil: pipe above the dew temperature at the pressure there. */
final class Superheat implements Calculation
{
    public function asks(): array
    {
        return [
            Input::refrigerant(),
            Input::gauge('suction_pressure_kpa', 'Suction pressure'),
            Input::temperature('suction_temperature_evaporator_c', 'Suction line at the bulb'),
            Input::atmosphere(),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $dew = $given->dew('suction_pressure_kpa');
        $superheat = $given->of('suction_temperature_evaporator_c') - $dew;

        return new Answer(
            [
                Output::temperature('saturated_evaporator_c', 'Evaporating (dew)', $dew),
                Output::difference('evaporator_superheat_k', 'Superheat at the coil', $superheat),
            ],
            [
                $given->toAbsolute('suction_pressure_kpa'),
                "Dew temperature at that pressure: {$given->degrees($dew)}.",
                sprintf(
                    'Superheat = %s (line) − %s (dew) = %s.',
                    $given->degrees($given->of('suction_temperature_evaporator_c')),
                    $given->taken($dew),
                    $given->kelvins($superheat),
                ),
                ...$superheat < 0.0
                    ? ['Negative: check refrigerant, clamp and pressure; a blend can leave wet within its glide.']
                    : [],
            ],
        );
    }
}
