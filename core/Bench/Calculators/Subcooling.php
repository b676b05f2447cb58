<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;

/** Subcooling of liquid: bubble temperature at its pressure above the pipe. */
final class Subcooling implements Calculation
{
    public function asks(): array
    {
        return [
            Input::refrigerant(),
            Input::gauge('receiver_pressure_kpa', 'Pressure of the liquid'),
            Input::temperature('condenser_outlet_temperature_c', 'Liquid pipe'),
            Input::atmosphere(),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $bubble = $given->bubble('receiver_pressure_kpa');
        $subcooling = $bubble - $given->of('condenser_outlet_temperature_c');

        return new Answer(
            [
                Output::temperature('saturated_condensing_c', 'Saturated (bubble)', $bubble),
                Output::difference('subcooling_k', 'Subcooling', $subcooling),
            ],
            [
                $given->toAbsolute('receiver_pressure_kpa'),
                "There the first bubble forms (bubble) at {$given->degrees($bubble)}.",
                sprintf(
                    'Subcooling: %s less pipe %s are %s.',
                    $given->degrees($bubble),
                    $given->degrees($given->of('condenser_outlet_temperature_c')),
                    $given->kelvins($subcooling),
                ),
                ...$subcooling < 0.0
                    ? ['Below zero: there is gas in it, or it was heated after the condenser.']
                    : [],
            ],
        );
    }
}
