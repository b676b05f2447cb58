<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;

/** The earliest plan of defrosts, in the given order, with so many at once. */
final class DefrostStaggerPlan implements Calculation
{
    public function asks(): array
    {
        return [
            Input::table('fixtures', 'Circuits, in order', [
                Input::minutes('duration_min', 'Duration')->orNamed('duration'),
            ]),
            Input::count('max_simultaneous', 'Maximum at once', 1, 500),
            Input::minutes('first_start_min', 'First start'),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $stagger = new Stagger([]);
        $most = $given->count('max_simultaneous');
        $moment = $given->of('first_start_min');
        $clear = $moment;
        $starts = [];
        foreach ($given->table('fixtures') as [$lasts]) {
            foreach ($stagger->ends() as $end) {
                $moment = $stagger->at($moment) < $most ? $moment : max($moment, $end);
            }
            $starts[] = $moment;
            $clear = max($clear, $moment + $lasts);
            $stagger = $stagger->with($moment, $moment + $lasts);
        }

        return new Answer(
            [
                Output::series('starts_min', 'Starts', QuantityKind::Duration, $starts),
                Output::amount('all_clear_min', 'All finished at', QuantityKind::Duration, $clear),
            ],
            [
                "Each starts as soon as fewer than $most are in defrost, never before the one ahead of it.",
                "All finished at {$given->text($clear, QuantityKind::Duration)}.",
            ],
        );
    }
}
