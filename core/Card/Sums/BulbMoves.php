<?php

declare(strict_types=1);

namespace Metrum\Card\Sums;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;

/** To which pressures suction falls and rises at least where a working bulb shuts its valve, and opens it. */
final class BulbMoves implements Calculation
{
    public function asks(): array
    {
        return [
            Input::refrigerant(),
            Input::gauge('from_kpa', 'Suction now'),
            Input::difference('by_k', 'Least change of saturation'),
            Input::atmosphere(),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $now = $given->dew('from_kpa');
        $by = $given->of('by_k');
        $at = static fn (float $kelvin): float => $given->gauge($given->dewPressure('by_k', $kelvin));

        return new Answer(
            [
                Output::gauge('falls_to_kpa', 'Cold bulb: suction below', $at($now - $by)),
                Output::gauge('rises_to_kpa', 'Warm bulb: suction above', $at($now + $by)),
            ],
            [
                "A working bulb moves saturation by {$given->kelvins($by)} at least: from {$given->degrees($now)} ".
                    "to {$given->degrees($now - $by)} cold, {$given->degrees($now + $by)} warm.",
            ],
        );
    }
}
