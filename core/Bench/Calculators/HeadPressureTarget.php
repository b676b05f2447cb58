<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;

/** Condensing that can be expected, and whether the head pressure valve has to bypass. */
final class HeadPressureTarget implements Calculation
{
    public function asks(): array
    {
        return [
            Input::refrigerant(),
            Input::temperature('ambient_temperature_c', 'Air entering the condenser'),
            Input::difference('condenser_split_k', 'Condenser split'),
            Input::temperature('minimum_condensing_c', 'Minimum condensing held'),
            Input::gauge('measured_pressure_kpa', 'Head pressure'),
            Input::atmosphere(),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $free = $given->of('ambient_temperature_c') + $given->of('condenser_split_k');
        $least = $given->of('minimum_condensing_c');
        $target = max($free, $least);
        $pressure = $given->gauge($given->bubblePressure('minimum_condensing_c', $target));
        $measured = $given->bubble('measured_pressure_kpa');
        $bypass = $free < $least;

        return new Answer(
            [
                Output::temperature('target_condensing_c', 'Expected condensing', $target),
                Output::gauge('target_pressure_kpa', 'Expected head pressure', $pressure),
                Output::yes('valve_should_bypass', 'Head pressure valve should bypass', $bypass),
                Output::temperature('measured_condensing_c', 'Condensing now', $measured),
                Output::difference('deviation_k', 'Above expected', $measured - $target),
            ],
            [
                "Ambient + split = {$given->degrees($free)}; minimum held {$given->degrees($least)}.",
                $bypass
                    ? 'Ambient alone would bring it lower: the valve must flood and bypass.'
                    : 'Ambient alone keeps it up: no bypass needed.',
                "Expected {$given->degrees($target)}, {$given->onGauge($pressure)} (bubble).",
                "Measured {$given->onGauge($given->of('measured_pressure_kpa'))}: {$given->degrees($measured)}, ".
                    "{$given->kelvins($measured - $target)} above expected.",
            ],
        );
    }
}
