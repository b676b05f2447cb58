<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\Format;
use Metrum\Quantity\QuantityKind;

/** kg a day of an ice machine, from one weighed batch and the times of its cycle. */
final class IcePerDay implements Calculation
{
    private const DAY = 86400.0;

    public function asks(): array
    {
        return [
            Input::number('ice_per_cycle_kg', 'Ice of one cycle', QuantityKind::Mass, 0.05, 500.0),
            Input::minutes('freeze_time_min', 'Freeze time', 0.5),
            Input::minutes('harvest_time_min', 'Harvest time', 0.1),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $ice = $given->of('ice_per_cycle_kg');
        $cycle = $given->of('freeze_time_min') + $given->of('harvest_time_min');
        $cycles = self::DAY / $cycle;

        return new Answer(
            [
                Output::mass('ice_per_day_kg', 'Ice per day', $ice * $cycles),
                Output::amount('cycles_per_day', 'Cycles per day', QuantityKind::Ratio, $cycles),
            ],
            [
                sprintf('%s min a cycle: %s cycles a day.', Format::number($cycle / 60, 1), Format::number($cycles, 0)),
                'Only the third cycle after a start, a change or a cleaning counts.',
            ],
        );
    }
}
