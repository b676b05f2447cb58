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
                Input::minutes('start_min', 'Starts at')->orNamed('start'),
                Input::minutes('duration_min', 'Lasts')->orNamed('duration'),
            ]),
            Input::count('max_simultaneous', 'At once at the most', 1, 500),
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
                Output::amount('highest_simultaneous', 'At once, highest', QuantityKind::Count, (float) $highest),
                Output::amount('first_violation_min', 'First too many at', QuantityKind::Duration, $violation),
                Output::yes('feasible', 'It keeps to it', $violation === null),
            ],
            [
                "At the most $highest are in defrost at once; {$given->count('max_simultaneous')} may be.",
                $violation === null
                    ? 'The plan keeps to it.'
                    : "Too many from {$given->text($violation, QuantityKind::Duration)} on.",
            ],
        );
    }
}
