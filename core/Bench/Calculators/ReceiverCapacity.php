<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;

/** What a receiver may hold. */
final class ReceiverCapacity implements Calculation
{
    public function asks(): array
    {
        return [
            Input::refrigerant(),
            Input::volume('receiver_volume_l', 'Receiver volume'),
            Input::fraction('fill_limit_fraction', 'Fill limit'),
            Input::temperature('liquid_temperature_c', 'Liquid temperature'),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        [$capacity, $full] = ReceiverVolume::holds($given);

        return new Answer(
            [Output::mass('capacity_kg', 'Capacity', $capacity)],
            [ReceiverVolume::step($given, $capacity, $full)],
        );
    }
}
