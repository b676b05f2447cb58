<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;

/** Superheat at the coil and at the compressor, each with the pressure of its own place. */
final class SuperheatTwoPlaces implements Calculation
{
    public function asks(): array
    {
        return [
            Input::refrigerant(),
            Input::gauge('evaporator_pressure_kpa', 'Pressure at the coil'),
            Input::gauge('suction_pressure_kpa', 'Pressure at the compressor'),
            Input::temperature('suction_temperature_evaporator_c', 'Suction pipe at the coil'),
            Input::temperature('suction_temperature_compressor_c', 'Suction pipe at the compressor'),
            Input::atmosphere(),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $coil = $given->dew('evaporator_pressure_kpa');
        $compressor = $given->dew('suction_pressure_kpa');
        $atCoil = $given->of('suction_temperature_evaporator_c');
        $atCompressor = $given->of('suction_temperature_compressor_c');

        return new Answer(
            [
                Output::difference('evaporator_superheat_k', 'Superheat at the coil', $atCoil - $coil),
                Output::difference(
                    'compressor_superheat_k',
                    'Superheat at the compressor',
                    $atCompressor - $compressor,
                ),
                Output::difference('suction_line_gain_k', 'Gain along the suction line', $atCompressor - $atCoil),
                Output::difference(
                    'line_drop_as_saturation_k',
                    'Drop along the suction line, as saturation',
                    $coil - $compressor,
                ),
            ],
            [
                "Dew at the coil {$given->degrees($coil)}, at the compressor {$given->degrees($compressor)}.",
                "At the coil: {$given->degrees($atCoil)} less {$given->degrees($coil)} are ".
                    "{$given->kelvins($atCoil - $coil)}.",
                "At the compressor: {$given->degrees($atCompressor)} less {$given->degrees($compressor)} are ".
                    "{$given->kelvins($atCompressor - $compressor)}.",
                "The pipe gains {$given->kelvins($atCompressor - $atCoil)} and ".
                    "loses {$given->kelvins($coil - $compressor)} of saturation on the way.",
            ],
        );
    }
}
