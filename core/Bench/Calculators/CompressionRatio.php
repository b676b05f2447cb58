<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;

/** Discharge over suction, both absolute. */
final class CompressionRatio implements Calculation
{
    public function asks(): array
    {
        return [
            Input::gauge('discharge_pressure_kpa', 'Discharge pressure'),
            Input::gauge('suction_pressure_kpa', 'Suction pressure'),
            Input::atmosphere(),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $ratio = Ratio::of($given->absolute('discharge_pressure_kpa'), $given->absolute('suction_pressure_kpa'));

        return new Answer(
            [Output::ratio('compression_ratio', 'Compression ratio', $ratio)],
            [
                $given->toAbsolute('discharge_pressure_kpa'),
                $given->toAbsolute('suction_pressure_kpa'),
                "Ratio = discharge ÷ suction, both absolute = {$given->number($ratio)}.",
            ],
        );
    }
}
