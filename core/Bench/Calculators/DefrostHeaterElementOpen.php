<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\CannotBe;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;

/** What is left of current and heat with elements open. */
final class DefrostHeaterElementOpen implements Calculation
{
    public function asks(): array
    {
        return [
            Input::number('power_w', 'Heater power', QuantityKind::Power, 1.0, 1e6),
            Input::number('rated_voltage_v', 'Rated voltage (nameplate)', QuantityKind::Voltage, 1.0, 1000.0),
            Input::number('measured_voltage_v', 'Measured voltage', QuantityKind::Voltage, 0.0, 1000.0),
            Heater::phases(),
            Input::count('elements', 'Elements', 1, 60),
            Input::count('elements_open', 'Elements open', 0, 60),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $rated = Heater::current($given, 'rated_voltage_v');
        $elements = $given->count('elements');
        $open = $given->count('elements_open');
        if ($open > $elements) {
            throw CannotBe::at('elements_open', "you entered $open; there are $elements");
        }
        $whole = ($elements - $open) / $elements;
        $voltage = $given->of('measured_voltage_v') / $given->of('rated_voltage_v');

        return new Answer(
            [
                Output::amount('rated_current_a', 'Rated current', QuantityKind::Current, $rated),
                Output::amount(
                    'expected_current_a',
                    'Expected current',
                    QuantityKind::Current,
                    $rated * $voltage * $whole,
                ),
                Output::percent('heat_percent', 'Heating', $voltage ** 2 * $whole),
            ],
            [
                Heater::step($given, 'rated_voltage_v', $rated),
                "Working elements: {$given->percent($whole)}; voltage: {$given->percent($voltage)} of rated.",
                "Current changes with both: {$given->number($rated * $voltage * $whole)} A. ".
                    "Heating changes with the square of voltage: {$given->percent($voltage ** 2 * $whole)}.",
            ],
        );
    }
}
