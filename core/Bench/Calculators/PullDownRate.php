<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;

/** How fast the box came down. */
final class PullDownRate implements Calculation
{
    public function asks(): array
    {
        return [
            Input::temperature('start_c', 'Box at the start'),
            Input::temperature('end_c', 'Box at the end'),
            Input::minutes('minutes', 'Time between', 0.1),
            Input::number('required_k_per_h', 'Required rate', QuantityKind::DifferenceRate, 0.0, 500.0),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $rate = ($given->of('start_c') - $given->of('end_c')) / $given->of('minutes');
        $passes = $rate >= $given->of('required_k_per_h');

        return new Answer(
            [
                Output::amount('rate_k_per_h', 'Rate', QuantityKind::DifferenceRate, $rate),
                Output::yes('passes', 'Fast enough', $passes),
            ],
            [
                sprintf(
                    '%s ÷ %s = %s.',
                    $given->kelvins($given->of('start_c') - $given->of('end_c')),
                    $given->text($given->of('minutes'), QuantityKind::Duration),
                    $given->text($rate, QuantityKind::DifferenceRate),
                ),
                sprintf(
                    'Required %s: %s.',
                    $given->text($given->of('required_k_per_h'), QuantityKind::DifferenceRate),
                    $passes ? 'fast enough' : 'too slow',
                ),
            ],
        );
    }
}
