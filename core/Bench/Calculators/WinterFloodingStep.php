<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;

/** What is still to add today for the coldest day. */
final class WinterFloodingStep implements Calculation
{
    public function asks(): array
    {
        return [
            Input::refrigerant(),
            Input::volume('condenser_internal_volume_l', 'Condenser volume'),
            Input::fraction('flooded_fraction_today', 'Flooded today'),
            Input::temperature('today_c', 'Liquid temperature today'),
            Input::fraction('flooded_fraction_coldest', 'Flooded on the coldest day'),
            Input::temperature('coldest_c', 'Liquid temperature, coldest day'),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        [$today] = Flooding::held($given, 'flooded_fraction_today', 'today_c');
        [$coldest] = Flooding::held($given, 'flooded_fraction_coldest', 'coldest_c');

        return new Answer(
            [
                Output::mass('held_today_kg', 'Held today', $today),
                Output::mass('held_coldest_kg', 'Held on the coldest day', $coldest),
                Output::mass('still_to_add_kg', 'Still to add', $coldest - $today),
            ],
            [
                "Today the condenser holds {$given->kilograms($today)}: a clear sight glass today includes that.",
                "On the coldest day it holds {$given->kilograms($coldest)}.",
                $coldest >= $today
                    ? "Still to add: {$given->kilograms($coldest - $today)}."
                    : "More is held today than on the coldest day: {$given->kilograms($today - $coldest)} over.",
            ],
        );
    }
}
