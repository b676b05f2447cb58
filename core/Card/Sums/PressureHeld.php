<?php

declare(strict_types=1);

namespace Metrum\Card\Sums;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;

/** A gas that was shut in: what its pressure would be by the temperatures, and what is missing. */
final class PressureHeld implements Calculation
{
    public function asks(): array
    {
        return [
            Input::gauge('first_kpa', 'Test pressure'),
            Input::temperature('first_c', 'Temperature at start'),
            Input::gauge('last_kpa', 'Pressure at end'),
            Input::temperature('last_c', 'Temperature at end'),
            Input::atmosphere(),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $air = $given->atmosphere()->pascal;
        $ought = ($given->of('first_kpa') + $air) * ($given->of('last_c') / $given->of('first_c')) - $air;
        $lost = $ought - $given->of('last_kpa');

        return new Answer(
            [
                Output::gauge('ought_kpa', 'Expected pressure', $ought),
                Output::amount('lost_kpa', 'Lost', QuantityKind::PressureDifference, $lost),
            ],
            [
                "{$given->onGauge($given->of('first_kpa'))} at {$given->degrees($given->of('first_c'))} become ".
                    "{$given->onGauge($ought)} at {$given->degrees($given->of('last_c'))}: pressure follows ".
                    'absolute temperature.',
            ],
        );
    }
}
