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
use Metrum\Quantity\Unit;

/** Water and energy that an ice machine takes in a day. */
final class IceWaterEnergy implements Calculation
{
    private const HOURS = 24.0;

    public function asks(): array
    {
        return [
            Input::number('ice_per_cycle_kg', 'Ice of one cycle', QuantityKind::Mass, 0.05, 500.0),
            Input::number('ice_per_day_kg', 'Ice per day', QuantityKind::Mass, 1.0, 10_000.0),
            Input::volume('water_per_cycle_l', 'Water of one cycle'),
            Input::number('power_kw', 'Power drawn, mean', QuantityKind::Power, 0.05, 200.0, Unit::Kilowatt),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $ice = $given->of('ice_per_cycle_kg');
        $day = $given->of('ice_per_day_kg');
        $water = $given->of('water_per_cycle_l') * 1e3;
        if ($water < $ice) {
            throw CannotBe::at(
                'water_per_cycle_l',
                sprintf('got %.2f l for %s of ice; more ice than water cannot be.', $water, $given->kilograms($ice)),
            );
        }
        $energy = $given->of('power_kw') / 1e3 * self::HOURS;

        return new Answer(
            [
                Output::amount('water_per_day_l', 'Water per day', QuantityKind::Volume, $water / 1e3 * $day / $ice),
                Output::ratio('water_per_kg_l', 'Water per kg of ice, l', $water / $ice),
                Output::ratio('energy_per_day_kwh', 'Energy per day, kWh', $energy),
                Output::ratio('energy_per_100_kg_kwh', 'Energy per 100 kg of ice, kWh', 100 * $energy / $day),
            ],
            [
                sprintf('%.1f l of water for each kg of ice; the rest is flushed away.', $water / $ice),
                'Running all day. A machine that fills its bin and stops takes less.',
            ],
        );
    }
}
