<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\CannotBe;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;

/** What is left of current and heat with a supply leg open. */
final class DefrostHeaterLegMissing implements Calculation
{
    public function asks(): array
    {
        return [
            Input::number('power_w', 'Heater power', QuantityKind::Power, 1.0, 1e6),
            Input::number('voltage_v', 'Voltage', QuantityKind::Voltage, 1.0, 1000.0),
            Heater::phases(),
            Input::count('legs_live', 'Live phases', 0, 3),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $rated = Heater::current($given, 'voltage_v');
        $legs = Heater::isThreePhase($given) ? 3 : 2;
        $live = $given->count('legs_live');
        if ($live > $legs) {
            throw CannotBe::at('legs_live', "you entered $live; a single-phase supply has 2");
        }
        [$current, $heat] = match (true) {
            $live === $legs => [1.0, 1.0],
            $live === 2 => [sqrt(3) / 2, 0.5],
            default => [0.0, 0.0],
        };

        return new Answer(
            [
                Output::amount('rated_current_a', 'Rated current', QuantityKind::Current, $rated),
                Output::amount(
                    'current_live_legs_a',
                    'Current of the live phases',
                    QuantityKind::Current,
                    $current * $rated,
                ),
                Output::percent('heat_remaining_percent', 'Heating left', $heat),
            ],
            [
                Heater::step($given, 'voltage_v', $rated),
                match (true) {
                    $live === $legs => 'All phases live: nothing missing.',
                    $live === 2 => 'With one phase open the load is on one voltage: √3/2 or 87 % of the current, '.
                        'and half of the heating. At the clamp it looks nearly normal.',
                    default => 'With one live phase or none, no current can flow.',
                },
            ],
        );
    }
}
