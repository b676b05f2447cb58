<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;

/** What superheat seems to be where bubble is taken for dew. */
final class SuperheatGlideTrap implements Calculation
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
        $bubble = $given->bubble('suction_pressure_kpa');
        $pipe = $given->of('suction_temperature_evaporator_c');

        return new Answer(
            [
                Output::difference('evaporator_superheat_k', 'Superheat (dew)', $pipe - $dew),
                Output::difference('glide_k', 'Glide', $dew - $bubble),
                Output::difference(
                    'wrong_superheat_if_bubble_is_used_k',
                    'Wrong: superheat by bubble',
                    $pipe - $bubble,
                ),
            ],
            [
                $given->toAbsolute('suction_pressure_kpa'),
                "Dew {$given->degrees($dew)}, bubble {$given->degrees($bubble)}: ".
                    "glide {$given->kelvins($dew - $bubble)}.",
                "Superheat = {$given->degrees($pipe)} (line) − {$given->taken($dew)} (dew) = ".
                    "{$given->kelvins($pipe - $dew)}.",
                "Wrongly by bubble: {$given->kelvins($pipe - $bubble)}, which hides a flooded coil.",
            ],
        );
    }
}
