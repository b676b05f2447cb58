<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;

/** Cut-in and cut-out of a low-pressure control that ends a pump-down. */
final class LowPressureControlPumpDown implements Calculation
{
    public function asks(): array
    {
        return [
            Input::refrigerant(),
            Input::temperature('box_set_point_c', 'Box set point'),
            Input::difference('evaporator_td_k', 'TD of the coil'),
            Input::temperature('coldest_ambient_c', 'Coldest air at the unit'),
            Input::difference('margin_k', 'Margin'),
            Input::number(
                'switch_differential_kpa',
                'Differential of the control',
                QuantityKind::PressureDifference,
                0.0,
                2000.0,
            ),
            Input::temperature('envelope_lowest_evaporating_c', 'Lowest evaporating that the compressor may see'),
            Input::atmosphere(),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $coil = $given->of('box_set_point_c') - $given->of('evaporator_td_k');
        $coldest = min($given->of('coldest_ambient_c'), $coil);
        $in = $coldest - $given->of('margin_k');
        $cutIn = $given->gauge($given->dewPressure('coldest_ambient_c', $in));
        $lowest = $given->of('envelope_lowest_evaporating_c');
        $envelope = $given->gauge($given->dewPressure('envelope_lowest_evaporating_c', $lowest));
        $floor = max(0.0, $envelope);
        $wanted = $cutIn - $given->of('switch_differential_kpa');
        $cutOut = max($wanted, $floor);
        $limits = $wanted < $floor;

        return new Answer(
            [
                Output::gauge('cut_in_kpa', 'Cut-in', $cutIn),
                Output::gauge('cut_out_kpa', 'Cut-out', $cutOut),
                Output::gauge('floor_kpa', 'Never below', $floor),
                Output::yes('floor_limits', 'The floor limits it', $limits),
            ],
            [
                "The coldest place, {$given->degrees($coldest)}, less {$given->kelvins($given->of('margin_k'))} ".
                    "is {$given->degrees($in)}: cut-in {$given->onGauge($cutIn)}, ".
                    'so that it starts on the coldest day.',
                "Less the differential that is {$given->onGauge($wanted)}.",
                "Never below {$given->onGauge($floor)}: ".
                    ($envelope > 0.0
                        ? "the compressor may go down to {$given->degrees($lowest)}."
                        : 'no vacuum.'),
                "Cut-out {$given->onGauge($cutOut)}".($limits ? ', held up by the floor.' : '.'),
                ...$cutIn <= $cutOut
                    ? ['Cut-in is not above cut-out: it would never stop cycling, or never start. Take less margin.']
                    : [],
            ],
        );
    }
}
