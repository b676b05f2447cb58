<?php

declare(strict_types=1);

namespace Metrum\Card\Sums;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Calculators\Series;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Unit;

/** How fast a pressure that was read again and again rises: least squares through all of its points. */
final class Rise implements Calculation
{
    public function asks(): array
    {
        return [
            Input::number('times_s', 'Seconds', QuantityKind::Duration, 0.0, 1e6, Unit::Second)->several(2),
            Input::gauge('pressures_kpa', 'Pressure')->several(2),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $times = $given->series('times_s');
        $pressures = $given->series('pressures_kpa');
        Series::inStep('times_s', $times, 'pressures_kpa', $pressures);
        $slope = Line::through($times, $pressures)->slope;
        $over = end($times) - $times[0];
        $change = end($pressures) - $pressures[0];

        return new Answer(
            [
                Output::amount('rise_kpa_per_min', 'Rise', QuantityKind::PressureRate, $slope),
                Output::amount('change_kpa', 'Total', QuantityKind::PressureDifference, $change),
                Output::gauge('last_kpa', 'Last', end($pressures)),
                Output::amount('over_s', 'Over', QuantityKind::Duration, $over, Unit::Second),
            ],
            [
                "From {$given->onGauge($pressures[0])} to {$given->onGauge(end($pressures))} in ".
                    "{$given->number($over, 0)} s: {$given->text($slope, QuantityKind::PressureRate)}.",
            ],
        );
    }
}
