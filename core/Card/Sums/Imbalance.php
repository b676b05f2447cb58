<?php

declare(strict_types=1);

namespace Metrum\Card\Sums;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\CannotBe;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;

/** Imbalance of three phases: the farthest from their mean, as a share of it. */
final class Imbalance implements Calculation
{
    public function asks(): array
    {
        return [
            Input::number('first_v', 'Voltage 1–2', QuantityKind::Voltage, 0.0, 1000.0),
            Input::number('second_v', 'Voltage 2–3', QuantityKind::Voltage, 0.0, 1000.0),
            Input::number('third_v', 'Voltage 3–1', QuantityKind::Voltage, 0.0, 1000.0),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $volts = [$given->of('first_v'), $given->of('second_v'), $given->of('third_v')];
        $mean = array_sum($volts) / 3;
        if ($mean <= 0.0) {
            throw CannotBe::at('first_v', 'no voltage');
        }
        $farthest = max(max($volts) - $mean, $mean - min($volts));

        return new Answer(
            [
                Output::amount('mean_v', 'Mean', QuantityKind::Voltage, $mean),
                Output::percent('imbalance_percent', 'Imbalance', $farthest / $mean),
            ],
            [
                "Mean {$given->number($mean, 1)} V; largest deviation {$given->number($farthest, 1)} V = ".
                    "{$given->percent($farthest / $mean, 1)}.",
            ],
        );
    }
}
