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
            Input::gauge('evaporator_pressure_kpa', 'Coil pressure'),
            Input::gauge('suction_pressure_kpa', 'Suction pressure'),
            Input::temperature('suction_temperature_evaporator_c', 'Suction line at the bulb'),
            Input::temperature('suction_temperature_compressor_c', 'Suction line at the compressor'),
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
                Output::difference('suction_line_gain_k', 'Suction line gain', $atCompressor - $atCoil),
                Output::difference(
                    'line_drop_as_saturation_k',
                    'Suction line drop, as saturation',
                    $coil - $compressor,
                ),
            ],
            [
                "Dew at the coil {$given->degrees($coil)}, at the compressor {$given->degrees($compressor)}.",
                "At the coil: {$given->degrees($atCoil)} − {$given->taken($coil)} (dew) = ".
                    "{$given->kelvins($atCoil - $coil)}.",
                "At the compressor: {$given->degrees($atCompressor)} − {$given->taken($compressor)} (dew) = ".
                    "{$given->kelvins($atCompressor - $compressor)}.",
                "The line gains {$given->kelvins($atCompressor - $atCoil)} and ".
                    "drops {$given->kelvins($coil - $compressor)} of saturation.",
            ],
        );
    }
}
