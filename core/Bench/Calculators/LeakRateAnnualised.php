<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;

/** Leak rate by the time since the last addition. */
final class LeakRateAnnualised implements Calculation
{
    private const YEAR = 365.0;

    public function asks(): array
    {
        return [
            Input::mass('added_kg', 'Added now'),
            Input::number('full_charge_kg', 'Full charge', QuantityKind::Mass, 0.01, 100_000.0),
            Input::number(
                'days_since_previous_addition',
                'Days since the last addition',
                QuantityKind::Ratio,
                1.0,
                20_000.0,
            ),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $days = min(self::YEAR, $given->of('days_since_previous_addition'));
        $rate = ($given->of('added_kg') / $given->of('full_charge_kg')) * (self::YEAR / $days);

        return new Answer(
            [Output::percent('leak_rate_percent_per_year', 'Annual leak rate', $rate)],
            [
                sprintf(
                    '%s ÷ %s = %s of the charge.',
                    $given->kilograms($given->of('added_kg')),
                    $given->kilograms($given->of('full_charge_kg')),
                    $given->percent($given->of('added_kg') / $given->of('full_charge_kg'), 1),
                ),
                "In {$given->number($days, 0)} days (maximum 365); per year: {$given->percent($rate, 1)}.",
            ],
        );
    }
}
