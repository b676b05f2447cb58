<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;

/** Leak rate by all that was added in the last 365 days. */
final class LeakRateRolling implements Calculation
{
    private const YEAR = 365.0;

    public function asks(): array
    {
        return [
            Input::table('additions', 'Additions', [
                Input::number('day', 'Day', QuantityKind::Ratio, 0.0, 1_000_000.0)->orNamed('days', 'on_day'),
                Input::mass('kg', 'Added')->orNamed('added_kg', 'mass_kg', 'added'),
            ]),
            Input::number('today', 'Today (day number)', QuantityKind::Ratio, 0.0, 1_000_000.0),
            Input::number('full_charge_kg', 'Full charge', QuantityKind::Mass, 0.01, 100_000.0),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $today = $given->of('today');
        $sum = 0.0;
        $counted = 0;
        foreach ($given->table('additions') as [$day, $added]) {
            if ($day > $today - self::YEAR && $day <= $today) {
                $sum += $added;
                $counted++;
            }
        }
        $rate = $sum / $given->of('full_charge_kg');

        return new Answer(
            [
                Output::mass('added_in_365_days_kg', 'Added in 365 days', $sum),
                Output::percent('leak_rate_percent_per_year', 'Annual leak rate', $rate),
            ],
            [
                "Additions in the 365 days to day {$given->number($today, 0)}: $counted, ".
                    "total {$given->kilograms($sum)}.",
                "Full charge {$given->kilograms($given->of('full_charge_kg'))}: ".
                    "{$given->percent($rate, 1)} per year.",
            ],
        );
    }
}
