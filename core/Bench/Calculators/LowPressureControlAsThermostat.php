<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;

/** Cut-in and cut-out of a low-pressure control that is the thermostat. */
final class LowPressureControlAsThermostat implements Calculation
{
    public function asks(): array
    {
        return [
            Input::refrigerant(),
            Input::temperature('box_set_point_c', 'Box set point'),
            Input::difference('box_differential_k', 'Differential of the box'),
            Input::difference('evaporator_td_k', 'TD of the coil'),
            Input::number(
                'suction_line_drop_kpa',
                'Drop along the suction line',
                QuantityKind::PressureDifference,
                0.0,
                500.0,
            ),
            Input::atmosphere(),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $half = $given->of('box_differential_k') / 2;
        $warm = $given->of('box_set_point_c') + $half;
        $coil = $given->of('box_set_point_c') - $half - $given->of('evaporator_td_k');
        $drop = $given->of('suction_line_drop_kpa');
        $cutIn = $given->gauge($given->dewPressure('box_set_point_c', $warm));
        $absolute = $given->dewPressure('evaporator_td_k', $coil) - $drop;
        $cutOut = $given->gauge($given->aboveVacuum('suction_line_drop_kpa', $absolute));

        return new Answer(
            [
                Output::gauge('cut_in_kpa', 'Cut-in', $cutIn),
                Output::gauge('cut_out_kpa', 'Cut-out', $cutOut),
            ],
            [
                "Standing, the coil has the temperature of the box: at {$given->degrees($warm)} that is ".
                    "{$given->onGauge($cutIn)}. There it cuts in; nothing flows, so nothing drops.",
                "Running, the coil at the cold end has {$given->degrees($coil)}; less ".
                    "{$given->text($drop, QuantityKind::PressureDifference)} along the line ".
                    "that is {$given->onGauge($cutOut)}.",
                ...$cutOut < 0.0 ? ['The cut-out lies in vacuum: only where the maker allows it.'] : [],
            ],
        );
    }
}
