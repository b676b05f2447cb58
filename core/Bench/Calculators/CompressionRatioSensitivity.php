<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;

/** What a rise of head and the same fall of suction do to the ratio. */
final class CompressionRatioSensitivity implements Calculation
{
    public function asks(): array
    {
        return [
            Input::gauge('discharge_pressure_kpa', 'Discharge pressure'),
            Input::gauge('suction_pressure_kpa', 'Suction pressure'),
            Input::number('change_kpa', 'Change', QuantityKind::PressureDifference, 0.0, 5000.0),
            Input::atmosphere(),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $discharge = $given->absolute('discharge_pressure_kpa');
        $suction = $given->absolute('suction_pressure_kpa');
        $change = $given->of('change_kpa');
        $base = Ratio::of($discharge, $suction);
        $raised = Ratio::of($discharge + $change, $suction);
        $lowered = Ratio::of($discharge, $given->aboveVacuum('change_kpa', $suction - $change));
        $said = $given->text($change, QuantityKind::PressureDifference);

        return new Answer(
            [
                Output::ratio('base', 'Ratio now', $base),
                Output::ratio('with_head_raised', 'Head pressure raised', $raised),
                Output::ratio('with_suction_lowered', 'Suction lowered', $lowered),
            ],
            [
                "Now: {$given->number($base)}.",
                "Head pressure $said higher: {$given->number($raised)}.",
                "Suction $said lower: {$given->number($lowered)}. The low side counts most.",
            ],
        );
    }
}
