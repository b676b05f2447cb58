<?php

declare(strict_types=1);

namespace Metrum\Card\Sums;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;

/** How far a pressure moved, told as saturation: a kelvin means the same with every refrigerant. */
final class SaturatedChange implements Calculation
{
    public function asks(): array
    {
        return [
            Input::refrigerant(),
            Input::gauge('from_kpa', 'Pressure before'),
            Input::gauge('to_kpa', 'Pressure after'),
            Input::atmosphere(),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        [$from, $to] = [$given->dew('from_kpa'), $given->dew('to_kpa')];

        return new Answer(
            [
                Output::difference('rise_k', 'Rise, as saturation', $to - $from),
                Output::difference('fall_k', 'Drop, as saturation', $from - $to),
                Output::difference('apart_k', 'Difference, as saturation', abs($to - $from)),
            ],
            [
                "{$given->onGauge($given->of('from_kpa'))} = {$given->degrees($from)} (dew), ".
                    "{$given->onGauge($given->of('to_kpa'))} = {$given->degrees($to)}.",
            ],
        );
    }
}
