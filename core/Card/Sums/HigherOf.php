<?php

declare(strict_types=1);

namespace Metrum\Card\Sums;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;

/** A pressure that is wanted, but not below a floor. */
final class HigherOf implements Calculation
{
    public function asks(): array
    {
        return [Input::gauge('wanted_kpa', 'Target'), Input::gauge('floor_kpa', 'Minimum')];
    }

    public function answer(Inputs $given): Answer
    {
        $floor = $given->of('floor_kpa');
        $wanted = $given->of('wanted_kpa');

        return new Answer(
            [
                Output::gauge('kpa', 'Set to', max($floor, $wanted)),
                Output::yes('at_floor', 'Minimum applies', $wanted < $floor),
            ],
            [
                $wanted < $floor
                    ? "{$given->onGauge($wanted)} is below the minimum: set {$given->onGauge($floor)}."
                    : "{$given->onGauge($wanted)}, above the minimum of {$given->onGauge($floor)}.",
            ],
        );
    }
}
