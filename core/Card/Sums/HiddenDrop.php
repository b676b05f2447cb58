<?php

declare(strict_types=1);

namespace Metrum\Card\Sums;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;

/**
 * Drop by two pressures against what the liquid's subcooling hides: as long as the drop is smaller, nothing boils and
 * the pipe does not get colder, so that clamps see nothing.
 */
final class HiddenDrop implements Calculation
{
    public function asks(): array
    {
        return [
            Input::refrigerant(),
            Input::gauge('before_kpa', 'Pressure before'),
            Input::gauge('after_kpa', 'Pressure after'),
            Input::temperature('liquid_c', 'Liquid before it'),
            Input::atmosphere(),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $liquid = $given->of('liquid_c');
        $flash = $given->bubblePressure('liquid_c', $liquid);
        $available = $given->absolute('before_kpa') - $flash;
        $drop = $given->of('before_kpa') - $given->of('after_kpa');
        $flashes = $drop > $available;

        return new Answer(
            [
                Output::amount('drop_kpa', 'Drop', QuantityKind::PressureDifference, $drop),
                Output::amount(
                    'available_kpa',
                    'Drop the subcooling allows',
                    QuantityKind::PressureDifference,
                    $available,
                ),
                Output::yes('flashes', 'Flashing after it', $flashes),
            ],
            [
                "Liquid at {$given->degrees($liquid)} flashes below {$given->onGauge($given->gauge($flash))}: ".
                    "subcooling allows {$given->text($available, QuantityKind::PressureDifference)}.",
                "Measured {$given->text($drop, QuantityKind::PressureDifference)}: ".($flashes
                    ? 'it flashes after the drier and the line gets colder.'
                    : 'no flashing, so clamps show nothing.'),
            ],
        );
    }
}
