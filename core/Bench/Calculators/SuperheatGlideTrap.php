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
            Input::temperature('suction_temperature_evaporator_c', 'Suction pipe at the coil'),
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
                Output::difference('evaporator_superheat_k', 'Superheat, by dew', $pipe - $dew),
                Output::difference('glide_k', 'Glide', $dew - $bubble),
                Output::difference(
                    'wrong_superheat_if_bubble_is_used_k',
                    'Superheat by bubble: wrong',
                    $pipe - $bubble,
                ),
            ],
            [
                $given->toAbsolute('suction_pressure_kpa'),
                "Dew {$given->degrees($dew)}, bubble {$given->degrees($bubble)}: ".
                    "a glide of {$given->kelvins($dew - $bubble)}.",
                "By dew: {$given->degrees($pipe)} less {$given->degrees($dew)} are {$given->kelvins($pipe - $dew)}.",
                "By bubble it would seem to be {$given->kelvins($pipe - $bubble)}, and hide a flooded coil.",
            ],
        );
    }
}
