<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;

/** What a bulb in ice or on a bench tells its valve. */
final class IcedBulb implements Calculation
{
    public function asks(): array
    {
        return [
            Input::refrigerant(),
            Input::temperature('bulb_temperature_c', 'Bulb'),
            Input::difference('static_superheat_k', 'Static superheat setting of the valve'),
            Input::atmosphere(),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $bulb = $given->of('bulb_temperature_c');
        $at = $given->gauge($given->dewPressure('bulb_temperature_c', $bulb));
        $evaporator = $bulb - $given->of('static_superheat_k');
        $settles = $given->gauge($given->dewPressure('static_superheat_k', $evaporator));

        return new Answer(
            [
                Output::gauge('saturated_at_bulb_kpa', 'Saturation pressure at the bulb', $at),
                Output::gauge('expected_evaporator_pressure_kpa', 'Expected coil pressure', $settles),
            ],
            [
                "Bulb at {$given->degrees($bulb)}: saturation {$given->onGauge($at)} (dew).",
                "A working valve holds {$given->kelvins($given->of('static_superheat_k'))} less: about ".
                    "{$given->degrees($evaporator)}, {$given->onGauge($settles)}.",
            ],
        );
    }
}
