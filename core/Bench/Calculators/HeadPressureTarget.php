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
            Input::temperature('minimum_condensing_c', 'Condensing held at least'),
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
                Output::temperature('target_condensing_c', 'Condensing expected', $target),
                Output::gauge('target_pressure_kpa', 'Head expected', $pressure),
                Output::yes('valve_should_bypass', 'The head pressure valve should bypass', $bypass),
                Output::temperature('measured_condensing_c', 'Condensing now', $measured),
                Output::difference('deviation_k', 'Above what is expected', $measured - $target),
            ],
            [
                "Air and split: {$given->degrees($free)}; held at least {$given->degrees($least)}.",
                $bypass
                    ? 'The air alone would bring it lower: the valve has to hold back and bypass.'
                    : 'The air alone keeps it up: the valve has nothing to bypass.',
                "Expected {$given->degrees($target)}, {$given->onGauge($pressure)} (bubble).",
                "Read {$given->onGauge($given->of('measured_pressure_kpa'))}: {$given->degrees($measured)}, ".
                    "{$given->kelvins($measured - $target)} above.",
            ],
        );
    }
}
