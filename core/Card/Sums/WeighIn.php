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
            Input::mass('plate_kg', 'Nameplate charge'),
            Input::mass('drier_kg', 'Extra for the drier'),
            Input::mass('line_kg', 'Extra for the lines'),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $whole = $given->of('plate_kg') + $given->of('drier_kg') + $given->of('line_kg');

        return new Answer(
            [
                Output::mass('whole_kg', 'Charge to weigh in', $whole),
                Output::mass('few_kg', 'A few percent of it', self::FEW * $whole),
            ],
            [
                "Nameplate {$given->kilograms($given->of('plate_kg'))} + drier ".
                    "{$given->kilograms($given->of('drier_kg'))} + lines {$given->kilograms($given->of('line_kg'))} ".
                    "= {$given->kilograms($whole)}.",
            ],
        );
    }
}
