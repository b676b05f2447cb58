<?php

declare(strict_types=1);

namespace Metrum\Card\Sums;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;

/** Superheat of the gas that reaches the compressor: its line above dew at the pressure there. */
final class CompressorSuperheat implements Calculation
{
    public function asks(): array
    {
        return [
            Input::refrigerant(),
            Input::gauge('pressure_kpa', 'Suction pressure'),
            Input::temperature('pipe_c', 'Suction line at the compressor'),
            Input::atmosphere(),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $dew = $given->dew('pressure_kpa');
        $superheat = $given->of('pipe_c') - $dew;

        return new Answer(
            [Output::difference('superheat_k', 'Superheat at the compressor', $superheat)],
            [
                "{$given->degrees($given->of('pipe_c'))} (line) − {$given->taken($dew)} (dew) ".
                    "= {$given->kelvins($superheat)}.",
            ],
        );
    }
}
