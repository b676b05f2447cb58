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

/**
 * Minerals in an ice machine: freezing leaves them in the sump, so the water left is as much harder as there is less of
 * it; what is flushed away with each batch goes, the rest may stay as scale.
 */
final class IceScale implements Calculation
{
    private const WEEK = 7.0;

    /** How much harder than the supply the sump is kept below by most: above it scale falls out soon. */
    private const ADVISED = 3.0;

    public function asks(): array
    {
        return [
            Input::number('hardness_ppm', 'Hardness, mg/l as calcium carbonate', QuantityKind::Ratio, 0.0, 2_000.0),
            Input::volume('water_per_cycle_l', 'Water of one cycle'),
            Input::number('ice_per_cycle_kg', 'Ice of one cycle', QuantityKind::Mass, 0.05, 500.0),
            Input::number('ice_per_day_kg', 'Ice per day', QuantityKind::Mass, 1.0, 10_000.0),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $hardness = $given->of('hardness_ppm');
        $water = $given->of('water_per_cycle_l') * 1e3;
        $ice = $given->of('ice_per_cycle_kg');
        if ($water <= $ice) {
            throw CannotBe::at(
                'water_per_cycle_l',
                sprintf('got %.2f l for %s of ice; nothing would be left to flush.', $water, $given->kilograms($ice)),
            );
        }
        $times = $water / ($water - $ice);
        $brought = $hardness * 1e-6 * $water * $given->of('ice_per_day_kg') / $ice * self::WEEK;
        $needed = $ice * self::ADVISED / (self::ADVISED - 1);

        return new Answer(
            [
                Output::ratio('concentration', 'Sump harder than the supply, times', $times),
                Output::ratio('hardness_at_end_ppm', 'Hardness at the end of freeze, mg/l', $hardness * $times),
                Output::mass('minerals_per_week_kg', 'Minerals brought in a week', $brought),
                Output::amount(
                    'water_for_three_times_l',
                    'Water of one cycle that keeps it below three times',
                    QuantityKind::Volume,
                    $needed / 1e3,
                ),
            ],
            [
                sprintf('%.1f l stay in the sump for each batch; all minerals are in them.', $water - $ice),
                $times > self::ADVISED
                    ? 'More than three times: scale falls out soon. Flush more, or treat the water.'
                    : 'Below three times: the flush carries most of it away.',
            ],
        );
    }
}
