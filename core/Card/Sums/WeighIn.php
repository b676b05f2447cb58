<?php

declare(strict_types=1);

namespace Metrum\Card\Sums;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;

/** What goes in by weight: the plate, with drier and lines that it does not know of. */
final class WeighIn implements Calculation
{
    /** Share of the whole within which a capillary still runs as it should. */
    private const FEW = 0.03;

    public function asks(): array
    {
        return [
            Input::mass('plate_kg', 'By the plate'),
            Input::mass('drier_kg', 'More for the drier'),
            Input::mass('line_kg', 'More for the lines'),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $whole = $given->of('plate_kg') + $given->of('drier_kg') + $given->of('line_kg');

        return new Answer(
            [
                Output::mass('whole_kg', 'To weigh in', $whole),
                Output::mass('few_kg', 'A few per cent of it', self::FEW * $whole),
            ],
            [
                "{$given->kilograms($given->of('plate_kg'))} by the plate, ".
                    "{$given->kilograms($given->of('drier_kg'))} and {$given->kilograms($given->of('line_kg'))} ".
                    "more for drier and lines are {$given->kilograms($whole)}.",
            ],
        );
    }
}
