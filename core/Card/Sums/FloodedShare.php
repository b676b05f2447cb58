<?php

declare(strict_types=1);

namespace Metrum\Card\Sums;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Calculators\Flooding;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Unit;

/** Share of the condenser held full of liquid, so that the rest just rejects the heat at the pressure held. */
final class FloodedShare implements Calculation
{
    public function asks(): array
    {
        return [
            Input::temperature('ambient_temperature_c', 'Ambient'),
            Input::difference('condenser_split_k', 'Design split'),
            Input::number('load_fraction', 'Heat rejected, % of design', QuantityKind::Share, 0.0, 2.0, Unit::One),
            Input::temperature('minimum_condensing_c', 'Lowest condensing held'),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $room = max(1e-3, $given->of('minimum_condensing_c') - $given->of('ambient_temperature_c'));
        $needed = $given->of('condenser_split_k') * $given->of('load_fraction');
        $share = Flooding::share(
            $given->of('condenser_split_k'),
            $given->of('load_fraction'),
            $given->of('minimum_condensing_c'),
            $given->of('ambient_temperature_c'),
        );

        return new Answer(
            [Output::percent('flooded_fraction', 'Flooded', $share)],
            [
                "Split needed {$given->kelvins($needed)}, available {$given->kelvins($room)}: ".
                    "{$given->percent($share)} of the condenser is flooded.",
            ],
        );
    }
}
