<?php

declare(strict_types=1);

namespace Metrum\Card\Sums;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;

/** What a flake machine makes in a day, by what it made in a quarter of an hour. */
final class FlakeDay implements Calculation
{
    /** Quarters of an hour in a day. */
    public const QUARTERS = 96;

    public function asks(): array
    {
        return [Input::mass('in_quarter_kg', 'Made in 15 min')];
    }

    public function answer(Inputs $given): Answer
    {
        $day = self::QUARTERS * $given->of('in_quarter_kg');

        return new Answer(
            [Output::mass('day_kg', 'A day', $day)],
            ["{$given->kilograms($given->of('in_quarter_kg'))} × ".self::QUARTERS." = {$given->kilograms($day)}."],
        );
    }
}
