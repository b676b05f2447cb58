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
            Input::gauge('receiver_pressure_kpa', 'Liquid pressure'),
            Input::temperature('condenser_outlet_temperature_c', 'Liquid line'),
            Input::atmosphere(),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $bubble = $given->bubble('receiver_pressure_kpa');
        $subcooling = $bubble - $given->of('condenser_outlet_temperature_c');

        return new Answer(
            [
                Output::temperature('saturated_condensing_c', 'Saturation (bubble)', $bubble),
                Output::difference('subcooling_k', 'Subcooling', $subcooling),
            ],
            [
                $given->toAbsolute('receiver_pressure_kpa'),
                "Bubble temperature at that pressure: {$given->degrees($bubble)}.",
                sprintf(
                    'Subcooling = %s (bubble) − %s (line) = %s.',
                    $given->degrees($bubble),
                    $given->taken($given->of('condenser_outlet_temperature_c')),
                    $given->kelvins($subcooling),
                ),
                ...$subcooling < 0.0
                    ? ['Negative: gas in the line, or it was heated after the condenser.']
                    : [],
            ],
        );
    }
}
