<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\CannotBe;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;

/** What warmer return gas does to the discharge. */
final class ReturnGasEffect implements Calculation
{
    public function asks(): array
    {
        return [
            Input::refrigerant(),
            Input::gauge('suction_pressure_kpa', 'Suction pressure'),
            Input::gauge('discharge_pressure_kpa', 'Discharge pressure'),
            Input::temperature('return_gas_before_c', 'Return gas, before'),
            Input::temperature('return_gas_after_c', 'Return gas, after'),
            Input::atmosphere(),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $rise = $given->of('return_gas_after_c') - $given->of('return_gas_before_c');
        if (abs($rise) < 0.01) {
            throw CannotBe::at('return_gas_after_c', 'the same as before; enter two different temperatures');
        }
        $before = IdealDischarge::of($given, 'return_gas_before_c');
        $after = IdealDischarge::of($given, 'return_gas_after_c');

        return new Answer(
            [
                Output::temperature('ideal_before_c', 'Discharge before, isentropic', $before),
                Output::temperature('ideal_after_c', 'Discharge after, isentropic', $after),
                Output::ratio(
                    'rise_per_k',
                    'Discharge rise per K of return gas',
                    ($after - $before) / $rise,
                ),
            ],
            [
                sprintf(
                    'Return gas %s: discharge %s. Return gas %s: discharge %s.',
                    $given->degrees($given->of('return_gas_before_c')),
                    $given->degrees($before),
                    $given->degrees($given->of('return_gas_after_c')),
                    $given->degrees($after),
                ),
                sprintf(
                    '%s ÷ %s = %s per K.',
                    $given->kelvins($after - $before),
                    $given->kelvins($rise),
                    $given->number(($after - $before) / $rise),
                ),
            ],
        );
    }
}
