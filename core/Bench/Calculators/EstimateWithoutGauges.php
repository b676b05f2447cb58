<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\CannotBe;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;

/** Saturations guessed from two pipes; only where the liquid pipe really holds liquid. */
final class EstimateWithoutGauges implements Calculation
{
    public function asks(): array
    {
        return [
            Input::refrigerant(),
            Input::temperature('liquid_pipe_c', 'Liquid line'),
            Input::temperature('suction_pipe_compressor_c', 'Suction line at the compressor'),
            Input::difference('assumed_subcooling_k', 'Assumed subcooling'),
            Input::difference('assumed_compressor_superheat_k', 'Assumed compressor superheat'),
            Input::temperature('ambient_temperature_c', 'Air entering the condenser'),
            Input::atmosphere(),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $condensing = $given->of('liquid_pipe_c') + $given->of('assumed_subcooling_k');
        $suction = $given->of('suction_pipe_compressor_c') - $given->of('assumed_compressor_superheat_k');
        $split = $condensing - $given->of('ambient_temperature_c');
        if ($split < 0.0) {
            throw CannotBe::at('liquid_pipe_c', 'condensing would be colder than the air entering the condenser');
        }
        $head = $given->gauge($given->bubblePressure('liquid_pipe_c', $condensing));
        $low = $given->gauge($given->dewPressure('suction_pipe_compressor_c', $suction));

        return new Answer(
            [
                Output::temperature('estimated_condensing_c', 'Condensing, estimated', $condensing),
                Output::gauge('estimated_head_kpa', 'Head pressure, estimated', $head),
                Output::temperature('estimated_suction_c', 'Saturated suction, estimated', $suction),
                Output::gauge('estimated_suction_kpa', 'Suction pressure, estimated', $low),
                Output::difference('estimated_split_k', 'Condenser split, estimated', $split),
            ],
            [
                sprintf(
                    'Condensing: liquid line %s + %s assumed = %s (bubble), %s.',
                    $given->degrees($given->of('liquid_pipe_c')),
                    $given->kelvins($given->of('assumed_subcooling_k')),
                    $given->degrees($condensing),
                    $given->onGauge($head),
                ),
                sprintf(
                    'Suction: line %s − %s assumed = %s (dew), %s.',
                    $given->degrees($given->of('suction_pipe_compressor_c')),
                    $given->kelvins($given->of('assumed_compressor_superheat_k')),
                    $given->degrees($suction),
                    $given->onGauge($low),
                ),
                "Condenser split: condensing − ambient = {$given->kelvins($split)}.",
                'The high-side estimate needs full liquid in the line; with gas in it the estimate is too low.',
            ],
        );
    }
}
