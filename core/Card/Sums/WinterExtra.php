<?php

declare(strict_types=1);

namespace Metrum\Card\Sums;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Unit;

/**
 * What is missing for the coldest day on top of a clear glass today.
 *
 * extra = (flooded then − flooded today) × volume × (liquid density between condensing and ambient − vapour density at
 * the condensing held) (knowledge.md §8).
 */
final class WinterExtra implements Calculation
{
    public function asks(): array
    {
        return [
            Input::refrigerant(),
            Input::number('then_fraction', 'Flooded on the coldest day', QuantityKind::Share, 0.0, 1.0, Unit::One),
            Input::number('today_fraction', 'Flooded today', QuantityKind::Share, 0.0, 1.0, Unit::One),
            Input::volume('condenser_internal_volume_l', 'Condenser volume'),
            Input::temperature('minimum_condensing_c', 'Lowest condensing held'),
            Input::temperature('ambient_temperature_c', 'Lowest ambient'),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $fluid = $given->refrigerant();
        $condensing = $given->of('minimum_condensing_c');
        $mean = ($condensing + $given->of('ambient_temperature_c')) / 2;
        $liquid = $given->within('ambient_temperature_c', static fn (): float => $fluid->liquidDensity($mean));
        $vapour = $given->within('minimum_condensing_c', static fn (): float => $fluid->vapourDensity($condensing));
        $share = max(0.0, $given->of('then_fraction') - $given->of('today_fraction'));
        $extra = $share * $given->of('condenser_internal_volume_l') * ($liquid - $vapour);

        return new Answer(
            [Output::mass('winter_extra_kg', 'Above clear sight glass', $extra)],
            [
                sprintf(
                    '%s more fills with liquid (%s kg/m³) instead of vapour (%s kg/m³): %s.',
                    $given->percent($share),
                    $given->number($liquid, 0),
                    $given->number($vapour, 0),
                    $given->kilograms($extra),
                ),
            ],
        );
    }
}
