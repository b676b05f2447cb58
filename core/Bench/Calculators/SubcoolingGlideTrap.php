<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;

/** What subcooling seems to be where dew is taken for bubble. */
final class SubcoolingGlideTrap implements Calculation
{
    public function asks(): array
    {
        return [
            Input::refrigerant(),
            Input::gauge('receiver_pressure_kpa', 'Liquid pressure'),
            Input::temperature('receiver_outlet_temperature_c', 'Liquid line at the receiver'),
            Input::atmosphere(),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $bubble = $given->bubble('receiver_pressure_kpa');
        $dew = $given->dew('receiver_pressure_kpa');
        $pipe = $given->of('receiver_outlet_temperature_c');

        return new Answer(
            [
                Output::difference('subcooling_k', 'Subcooling (bubble)', $bubble - $pipe),
                Output::temperature('condensing_dew_c', 'Condensing (dew)', $dew),
                Output::difference('wrong_subcooling_if_dew_is_used_k', 'Wrong: subcooling by dew', $dew - $pipe),
            ],
            [
                $given->toAbsolute('receiver_pressure_kpa'),
                "Bubble {$given->degrees($bubble)}, dew {$given->degrees($dew)}.",
                "Subcooling = {$given->degrees($bubble)} (bubble) − {$given->taken($pipe)} = ".
                    "{$given->kelvins($bubble - $pipe)}.",
                "Wrongly by dew: {$given->kelvins($dew - $pipe)}, which shows subcooling that is not there.",
            ],
        );
    }
}
