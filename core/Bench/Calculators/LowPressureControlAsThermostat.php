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
            Input::difference('box_differential_k', 'Box differential'),
            Input::difference('evaporator_td_k', 'Coil TD'),
            Input::number(
                'suction_line_drop_kpa',
                'Suction line pressure drop',
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
                "Off, the coil is at box temperature: {$given->degrees($warm)} = ".
                    "{$given->onGauge($cutIn)} (dew). It cuts in there; no flow, so no line drop.",
                "Running, the coil at cut-out is {$given->degrees($coil)} (dew); minus ".
                    "{$given->text($drop, QuantityKind::PressureDifference)} line drop = ".
                    "{$given->onGauge($cutOut)}.",
                ...$cutOut < 0.0 ? ['Cut-out is in a vacuum: only where the manufacturer allows it.'] : [],
            ],
        );
    }
}
