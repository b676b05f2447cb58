<?php

declare(strict_types=1);

namespace Metrum\Card\Sums;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;

/** How much two weights of one thing differ. */
final class MassOff implements Calculation
{
    public function asks(): array
    {
        return [Input::mass('of_kg', 'Then'), Input::mass('less_kg', 'Before')];
    }

    public function answer(Inputs $given): Answer
    {
        $size = abs($given->of('of_kg') - $given->of('less_kg'));

        return new Answer(
            [Output::mass('size_kg', 'Difference', $size)],
            ["Difference {$given->kilograms($size)}."],
        );
    }
}
