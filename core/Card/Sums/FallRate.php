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

/** How fast a box comes down, from its first reading to its last. */
final class FallRate implements Calculation
{
    public function asks(): array
    {
        return [
            Input::number('times_s', 'Seconds', QuantityKind::Duration, 0.0, 1e6, Unit::Second)->several(2),
            Input::temperature('boxes_c', 'Box')->several(2),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $times = $given->series('times_s');
        $boxes = $given->series('boxes_c');
        Series::inStep('times_s', $times, 'boxes_c', $boxes);
        $over = $times[count($times) - 1] - $times[0];
        $fell = $boxes[0] - $boxes[count($boxes) - 1];

        return new Answer(
            [
                Output::amount('rate_k_per_h', 'Rate', QuantityKind::DifferenceRate, $fell / $over),
                Output::difference('fell_k', 'Total', $fell),
                Output::amount('over_s', 'Over', QuantityKind::Duration, $over, Unit::Second),
            ],
            [
                "{$given->kelvins($fell)} ÷ {$given->text($over, QuantityKind::Duration)} = ".
                    "{$given->text($fell / $over, QuantityKind::DifferenceRate)}.",
            ],
        );
    }
}
