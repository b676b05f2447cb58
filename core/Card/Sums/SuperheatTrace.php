<?php

declare(strict_types=1);

namespace Metrum\Card\Sums;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Calculators\Hunting;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Unit;

/** Superheat over time by a clamp that was read again and again, the suction steady: mean, swing, lowest and period. */
final class SuperheatTrace implements Calculation
{
    public function asks(): array
    {
        return [
            Input::refrigerant(),
            Input::gauge('suction_kpa', 'Coil pressure'),
            Input::number('times_s', 'Seconds', QuantityKind::Duration, 0.0, 1e6, Unit::Second)->several(3),
            Input::temperature('pipes_c', 'Line at the bulb')->several(3),
            Input::difference('wanted_k', 'Target superheat'),
            Input::atmosphere(),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $dew = $given->dew('suction_kpa');
        $superheat = array_map(static fn (float $pipe): float => $pipe - $dew, $given->series('pipes_c'));
        $hunting = (new Hunting())->answer(
            new Inputs(
                [
                    'times_s' => $given->series('times_s'),
                    'superheat_k' => $superheat,
                    'target_superheat_k' => $given->of('wanted_k'),
                ],
                $given->units,
            ),
        );

        return new Answer(
            [Output::series('superheats_k', 'Superheat', QuantityKind::Difference, $superheat), ...$hunting->outputs],
            ["Superheat = line at the bulb − {$given->taken($dew)} (dew).", ...$hunting->steps],
        );
    }
}
