<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;

/** Whether a plan of defrosts keeps to so many at once. */
final class DefrostStaggerCheck implements Calculation
{
    public function asks(): array
    {
        return [
            Input::table('schedule', 'Defrosts', [
                Input::minutes('start_min', 'Start')->orNamed('start'),
                Input::minutes('duration_min', 'Duration')->orNamed('duration'),
            ]),
            Input::count('max_simultaneous', 'Maximum at once', 1, 500),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $stagger = new Stagger([]);
        foreach ($given->table('schedule') as [$start, $lasts]) {
            $stagger = $stagger->with($start, $start + $lasts);
        }
        $highest = 0;
        $violation = null;
        foreach ($stagger->starts() as $start) {
            $highest = max($highest, $stagger->at($start));
            $violation ??= $stagger->at($start) > $given->count('max_simultaneous') ? $start : null;
        }

        return new Answer(
            [
                Output::amount('highest_simultaneous', 'Highest at once', QuantityKind::Count, (float) $highest),
                Output::amount('first_violation_min', 'Limit first exceeded at', QuantityKind::Duration, $violation),
                Output::yes('feasible', 'Within limit', $violation === null),
            ],
            [
                "Most in defrost at once: $highest; limit {$given->count('max_simultaneous')}.",
                $violation === null
                    ? 'Within limit.'
                    : "Too many from {$given->text($violation, QuantityKind::Duration)}.",
            ],
        );
    }
}
