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
            Input::temperature('suction_temperature_evaporator_c', 'Suction pipe at the coil'),
            Input::atmosphere(),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $dew = $given->dew('suction_pressure_kpa');
        $superheat = $given->of('suction_temperature_evaporator_c') - $dew;

        return new Answer(
            [
                Output::temperature('saturated_evaporator_c', 'Saturated (dew)', $dew),
                Output::difference('evaporator_superheat_k', 'Superheat at the coil', $superheat),
            ],
            [
                $given->toAbsolute('suction_pressure_kpa'),
                "There the last liquid boils away (dew) at {$given->degrees($dew)}.",
                sprintf(
                    'Superheat: pipe %s less %s are %s.',
                    $given->degrees($given->of('suction_temperature_evaporator_c')),
                    $given->degrees($dew),
                    $given->kelvins($superheat),
                ),
                ...$superheat < 0.0
                    ? ['Below zero: check refrigerant, clamp and pressure; a blend can leave wet within its glide.']
                    : [],
            ],
        );
    }
}
