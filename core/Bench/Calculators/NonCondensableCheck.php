<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;

/** Standing pressure against what the refrigerant has at the temperature of the air. */
final class NonCondensableCheck implements Calculation
{
    public function asks(): array
    {
        return [
            Input::refrigerant(),
            Input::temperature('ambient_temperature_c', 'Ambient at the condenser'),
            Input::gauge('standing_pressure_kpa', 'Standing pressure'),
            Input::atmosphere(),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $ambient = $given->of('ambient_temperature_c');
        $expected = $given->gauge($given->bubblePressure('ambient_temperature_c', $ambient));
        $excess = $given->of('standing_pressure_kpa') - $expected;
        $kelvins = $given->bubble('standing_pressure_kpa') - $ambient;

        return new Answer(
            [
                Output::gauge('expected_pressure_kpa', 'Expected pressure', $expected),
                Output::amount('excess_kpa', 'Above expected', QuantityKind::PressureDifference, $excess),
                Output::difference('excess_as_saturation_k', 'Above expected, as saturation', $kelvins),
            ],
            [
                "Off, condenser at {$given->degrees($ambient)}: saturation (bubble) ".
                    $given->onGauge($expected).'.',
                "Measured {$given->onGauge($given->of('standing_pressure_kpa'))}: ".
                    "{$given->text($excess, QuantityKind::PressureDifference)} or {$given->kelvins($kelvins)} more.",
                'Valid only if the system was off until the condenser reached ambient.',
            ],
        );
    }
}
