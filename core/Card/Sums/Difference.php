<?php

declare(strict_types=1);

namespace Metrum\Card\Sums;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;

/** How much warmer one pipe is than another. */
final class Difference implements Calculation
{
    public function asks(): array
    {
        return [Input::temperature('of_c', 'Warmer'), Input::temperature('less_c', 'Colder')];
    }

    public function answer(Inputs $given): Answer
    {
        $difference = $given->of('of_c') - $given->of('less_c');

        return new Answer(
            [
                Output::difference('difference_k', 'Difference', $difference),
                Output::difference('apart_k', 'Apart', abs($difference)),
            ],
            [
                "{$given->degrees($given->of('of_c'))} − {$given->taken($given->of('less_c'))} ".
                    "= {$given->kelvins($difference)}.",
            ],
        );
    }
}
