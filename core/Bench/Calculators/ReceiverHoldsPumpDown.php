<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;

/** Whether the whole charge fits in the receiver. */
final class ReceiverHoldsPumpDown implements Calculation
{
    public function asks(): array
    {
        return [
            Input::refrigerant(),
            Input::volume('receiver_volume_l', 'Receiver volume'),
            Input::fraction('fill_limit_fraction', 'Fill limit'),
            Input::temperature('liquid_temperature_c', 'Liquid temperature'),
            Input::mass('system_charge_kg', 'System charge'),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        [$capacity, $full] = ReceiverVolume::holds($given);
        $charge = $given->of('system_charge_kg');
        $fits = $charge <= $capacity;

        return new Answer(
            [
                Output::mass('capacity_kg', 'Capacity', $capacity),
                Output::percent('level_if_all_in_receiver_percent', 'Receiver level, pumped down', $charge / $full),
                Output::yes('fits', 'Fits', $fits),
            ],
            [
                ReceiverVolume::step($given, $capacity, $full),
                "Pumped down, {$given->kilograms($charge)} fills it to {$given->percent($charge / $full)}.",
                $fits
                    ? 'The full charge can be pumped down.'
                    : "{$given->kilograms($charge - $capacity)} too much: never pump down the full charge.",
            ],
        );
    }
}
