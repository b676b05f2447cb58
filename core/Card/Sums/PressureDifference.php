<?php

declare(strict_types=1);

namespace Metrum\Card\Sums;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;

/** How much higher one gauge stands than another. */
final class PressureDifference implements Calculation
{
    public function asks(): array
    {
        return [Input::gauge('of_kpa', 'Higher'), Input::gauge('less_kpa', 'Lower')];
    }

    public function answer(Inputs $given): Answer
    {
        $difference = $given->of('of_kpa') - $given->of('less_kpa');

        return new Answer(
            [
                Output::amount('difference_kpa', 'Difference', QuantityKind::PressureDifference, $difference),
                Output::amount('apart_kpa', 'Apart', QuantityKind::PressureDifference, abs($difference)),
            ],
            [
                "{$given->onGauge($given->of('of_kpa'))} − {$given->onGauge($given->of('less_kpa'))} ".
                    "= {$given->text($difference, QuantityKind::PressureDifference)}.",
            ],
        );
    }
}
