<?php

declare(strict_types=1);

namespace Metrum\Card\Sums;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;

/** The first place along a liquid line that is colder than the place before it: there it is narrow. */
final class FirstColder implements Calculation
{
    /** Places in the order in which the liquid passes them, with what lies before each. */
    private const PLACES = [
        'receiver_c' => 'line_to_receiver',
        'before_drier_c' => 'line_to_drier',
        'after_drier_c' => 'drier',
        'after_solenoid_c' => 'solenoid_or_glass',
        'valve_inlet_c' => 'line_to_valve',
    ];

    private const WORDS = [
        'line_to_receiver' => 'the line from condenser to receiver',
        'line_to_drier' => 'the line before the drier',
        'drier' => 'the drier',
        'solenoid_or_glass' => 'the solenoid or sight glass',
        'line_to_valve' => 'the line to the valve',
        'nowhere' => 'nowhere',
    ];

    public function asks(): array
    {
        return [
            Input::temperature('condenser_c', 'Condenser outlet'),
            Input::temperature('receiver_c', 'Receiver outlet')->orNone(),
            Input::temperature('before_drier_c', 'Drier inlet')->orNone(),
            Input::temperature('after_drier_c', 'Drier outlet')->orNone(),
            Input::temperature('after_solenoid_c', 'After solenoid and sight glass')->orNone(),
            Input::temperature('valve_inlet_c', 'At the expansion valve')->orNone(),
            Input::difference('counts_k', 'Colder by at least'),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $where = 'nowhere';
        $drop = 0.0;
        $before = $given->of('condenser_c');
        foreach (self::PLACES as $key => $between) {
            if (! $given->has($key)) {
                continue;
            }
            $fall = $before - $given->of($key);
            if ($fall >= $given->of('counts_k')) {
                [$where, $drop] = [$between, $fall];
                break;
            }
            $before = $given->of($key);
        }

        return new Answer(
            [
                Output::word('where', 'Colder across', $where),
                Output::difference('drop_k', 'By', $drop),
                Output::word('place', 'Location', self::WORDS[$where]),
            ],
            [
                $where === 'nowhere'
                    ? "No spot is {$given->kelvins($given->of('counts_k'))} colder than the one before it."
                    : ucfirst(self::WORDS[$where]).": {$given->kelvins($drop)} colder, restriction there.",
            ],
        );
    }
}
