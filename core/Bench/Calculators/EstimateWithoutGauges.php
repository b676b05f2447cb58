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
            Input::temperature('liquid_pipe_c', 'Liquid pipe'),
            Input::temperature('suction_pipe_compressor_c', 'Suction pipe at the compressor'),
            Input::difference('assumed_subcooling_k', 'Subcooling assumed'),
            Input::difference('assumed_compressor_superheat_k', 'Superheat at the compressor assumed'),
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
                Output::gauge('estimated_head_kpa', 'Head, estimated', $head),
                Output::temperature('estimated_suction_c', 'Saturated suction, estimated', $suction),
                Output::gauge('estimated_suction_kpa', 'Suction, estimated', $low),
                Output::difference('estimated_split_k', 'Condenser split, estimated', $split),
            ],
            [
                sprintf(
                    'Condensing: liquid pipe %s and %s assumed are %s, %s (bubble).',
                    $given->degrees($given->of('liquid_pipe_c')),
                    $given->kelvins($given->of('assumed_subcooling_k')),
                    $given->degrees($condensing),
                    $given->onGauge($head),
                ),
                sprintf(
                    'Suction: pipe %s less %s assumed are %s, %s (dew).',
                    $given->degrees($given->of('suction_pipe_compressor_c')),
                    $given->kelvins($given->of('assumed_compressor_superheat_k')),
                    $given->degrees($suction),
                    $given->onGauge($low),
                ),
                "Split: {$given->kelvins($split)} above the air.",
                'The high side holds only where the liquid pipe holds liquid; with gas in it the guess is too low.',
            ],
        );
    }
}
