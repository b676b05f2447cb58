<?php

declare(strict_types=1);

namespace Metrum\Card\Sums;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;

/**
 * Cut-out of a pump-down control: saturation (dew) so far below the lowest suction that the box asks for, less what the
 * line takes, and no higher than the cut-in and the control's differential leave.
 */
final class CutOut implements Calculation
{
    public function asks(): array
    {
        return [
            Input::refrigerant(),
            Input::temperature('box_c', 'Box set point'),
            Input::difference('td_k', 'Coil TD'),
            Input::difference('below_k', 'Below lowest suction'),
            Input::number('drop_kpa', 'Suction line pressure drop', QuantityKind::PressureDifference, 0.0, 500.0),
            Input::gauge('at_most_kpa', 'Maximum by cut-in and differential'),
            Input::atmosphere(),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $lowest = $given->of('box_c') - $given->of('td_k');
        $out = $lowest - $given->of('below_k');
        // The control stands at the compressor: what the line takes is missing there.
        $absolute = $given->aboveVacuum('drop_kpa', $given->dewPressure('below_k', $out) - $given->of('drop_kpa'));
        $pressure = $given->gauge($absolute);

        return new Answer(
            [Output::gauge('kpa', 'Cut-out', min($pressure, $given->of('at_most_kpa')))],
            [
                "Lowest coil temperature {$given->degrees($lowest)} − {$given->kelvins($given->of('below_k'))} ".
                    "= {$given->degrees($out)} (dew), {$given->onGauge($pressure)} at the compressor; ".
                    "cut-in and differential allow {$given->onGauge($given->of('at_most_kpa'))}.",
            ],
        );
    }
}
