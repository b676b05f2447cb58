<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;

/** Discharge temperature of a compressor without losses. */
final class IdealDischargeTemperature implements Calculation
{
    public function asks(): array
    {
        return [
            Input::refrigerant(),
            Input::gauge('suction_pressure_kpa', 'Suction pressure'),
            Input::temperature('suction_temperature_compressor_c', 'Suction line at the compressor'),
            Input::gauge('discharge_pressure_kpa', 'Discharge pressure'),
            Input::atmosphere(),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $ideal = IdealDischarge::of($given, 'suction_temperature_compressor_c');

        return new Answer(
            [Output::temperature('ideal_discharge_c', 'Discharge, isentropic', $ideal)],
            [
                sprintf(
                    'Suction gas: %s at %s.',
                    $given->degrees($given->of('suction_temperature_compressor_c')),
                    $given->onGauge($given->of('suction_pressure_kpa')),
                ),
                sprintf(
                    'Isentropic compression to %s: %s. A real compressor runs hotter.',
                    $given->onGauge($given->of('discharge_pressure_kpa')),
                    $given->degrees($ideal),
                ),
            ],
        );
    }
}
