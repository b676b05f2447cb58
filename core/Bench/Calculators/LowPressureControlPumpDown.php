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
            Input::difference('evaporator_td_k', 'Coil TD'),
            Input::temperature('coldest_ambient_c', 'Lowest ambient at the unit'),
            Input::difference('margin_k', 'Margin'),
            Input::number(
                'switch_differential_kpa',
                'Control differential',
                QuantityKind::PressureDifference,
                0.0,
                2000.0,
            ),
            Input::temperature('envelope_lowest_evaporating_c', 'Lowest evaporating allowed'),
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
                Output::gauge('floor_kpa', 'Minimum cut-out', $floor),
                Output::yes('floor_limits', 'Minimum applies', $limits),
            ],
            [
                "Coldest place {$given->degrees($coldest)} − {$given->kelvins($given->of('margin_k'))} ".
                    "= {$given->degrees($in)} (dew): cut-in {$given->onGauge($cutIn)}, ".
                    'so that it starts on the coldest day.',
                "Cut-in − differential = {$given->onGauge($wanted)}.",
                "Minimum cut-out {$given->onGauge($floor)}: ".
                    ($envelope > 0.0
                        ? "the compressor may run down to {$given->degrees($lowest)}."
                        : 'no vacuum.'),
                "Cut-out {$given->onGauge($cutOut)}".($limits ? ', set by the minimum.' : '.'),
                ...$cutIn <= $cutOut
                    ? ['Cut-in is not above cut-out: it would cycle or never start. Reduce the margin.']
                    : [],
            ],
        );
    }
}
