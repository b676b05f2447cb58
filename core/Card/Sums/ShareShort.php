<?php

declare(strict_types=1);

namespace Metrum\Card\Sums;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;

/** By how much a weight falls short of the one that it should be; below 0 it is more. */
final class ShareShort implements Calculation
{
    public function asks(): array
    {
        return [
            Input::mass('of_kg', 'Measured'),
            Input::number('whole_kg', 'Expected', QuantityKind::Mass, 0.001, 100_000.0),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $whole = $given->of('whole_kg');
        $short = 1 - $given->of('of_kg') / $whole;

        return new Answer(
            [Output::percent('short_percent', 'Below expected', $short)],
            ["{$given->kilograms($given->of('of_kg'))} of {$given->kilograms($whole)} expected."],
        );
    }
}
