<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;

/** Current that defrost heaters draw when whole. */
final class DefrostHeaterAmps implements Calculation
{
    public function asks(): array
    {
        return [
            Input::number('power_w', 'Heater power', QuantityKind::Power, 1.0, 1e6),
            Input::number('voltage_v', 'Voltage', QuantityKind::Voltage, 1.0, 1000.0),
            Heater::phases(),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $current = Heater::current($given, 'voltage_v');

        return new Answer(
            [Output::amount('rated_current_a', 'Rated current', QuantityKind::Current, $current)],
            [Heater::step($given, 'voltage_v', $current)],
        );
    }
}
