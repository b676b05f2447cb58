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
            Input::volume('receiver_volume_l', 'Volume of the receiver'),
            Input::fraction('fill_limit_fraction', 'Fill limit'),
            Input::temperature('liquid_temperature_c', 'Temperature of the liquid'),
            Input::mass('system_charge_kg', 'Charge of the plant'),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        [$capacity, $full] = ReceiverVolume::holds($given);
        $charge = $given->of('system_charge_kg');
        $fits = $charge <= $capacity;

        return new Answer(
            [
                Output::mass('capacity_kg', 'May hold', $capacity),
                Output::percent('level_if_all_in_receiver_percent', 'Level with all in it', $charge / $full),
                Output::yes('fits', 'It fits', $fits),
            ],
            [
                ReceiverVolume::step($given, $capacity, $full),
                "All of {$given->kilograms($charge)} in it: {$given->percent($charge / $full)} full.",
                $fits
                    ? 'It can be pumped down.'
                    : "Too much by {$given->kilograms($charge - $capacity)}: it cannot be pumped down whole.",
            ],
        );
    }
}
