<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;

/** Current of the compressor against its plate, before and after. */
final class CurrentShare implements Calculation
{
    public function asks(): array
    {
        return [
            Input::number('compressor_current_a', 'Current before', QuantityKind::Current, 0.0, 5000.0),
            Input::number('rated_current_a', 'Rated current (nameplate)', QuantityKind::Current, 0.01, 5000.0),
            Input::number('after_current_a', 'Current after', QuantityKind::Current, 0.0, 5000.0),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $rated = $given->of('rated_current_a');
        $before = $given->of('compressor_current_a');
        $after = $given->of('after_current_a');

        return new Answer(
            [
                Output::percent('before_percent', 'Before, % of rated', $before / $rated),
                Output::percent('after_percent', 'After, % of rated', $after / $rated),
                Output::amount('change_a', 'Change', QuantityKind::Current, $after - $before),
            ],
            [
                "Before: {$given->number($before)} A ÷ {$given->number($rated)} A = ".
                    "{$given->percent($before / $rated, 1)}.",
                "After: {$given->number($after)} A ÷ {$given->number($rated)} A = ".
                    "{$given->percent($after / $rated, 1)}; change {$given->number($after - $before)} A.",
            ],
        );
    }
}
