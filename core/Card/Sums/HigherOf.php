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
        return [Input::gauge('wanted_kpa', 'Wanted'), Input::gauge('floor_kpa', 'Never below')];
    }

    public function answer(Inputs $given): Answer
    {
        $floor = $given->of('floor_kpa');
        $wanted = $given->of('wanted_kpa');

        return new Answer(
            [
                Output::gauge('kpa', 'Set to', max($floor, $wanted)),
                Output::yes('at_floor', 'The floor limits it', $wanted < $floor),
            ],
            [
                $wanted < $floor
                    ? "{$given->onGauge($wanted)} would be below the floor: {$given->onGauge($floor)} it is."
                    : "{$given->onGauge($wanted)}, above the floor of {$given->onGauge($floor)}.",
            ],
        );
    }
}
