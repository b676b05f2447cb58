<?php

declare(strict_types=1);

namespace Metrum\Card\Sums;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;

/**
 * What a valve passes at the pressures of today, of what its coil asks: its flow goes with the root of the pressure
 * over it (incompressible orifice, as tables of valves are given).
 */
final class ValveShare implements Calculation
{
    private const MOST = 2e3;

    public function asks(): array
    {
        $power = static fn (string $key, string $label): Input => Input::number(
            $key,
            $label,
            QuantityKind::Power,
            0.05,
            self::MOST,
        );
        $drop = static fn (string $key, string $label, float $least): Input => Input::number(
            $key,
            $label,
            QuantityKind::PressureDifference,
            $least,
            5000.0,
        );

        return [
            $power('rated_kw', 'Valve capacity in the table'),
            $drop('rated_drop_kpa', 'At a pressure drop of', 1.0),
            $power('load_kw', 'Coil capacity'),
            Input::gauge('high_kpa', 'Discharge pressure'),
            Input::gauge('low_kpa', 'Suction pressure'),
            $drop('lost_kpa', 'Lost in distributor and lines', 0.0),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $over = max(0.0, $given->of('high_kpa') - $given->of('low_kpa') - $given->of('lost_kpa'));
        $capacity = $given->of('rated_kw') * sqrt($over / $given->of('rated_drop_kpa'));
        $share = $capacity / $given->of('load_kw');
        $text = static fn (float $si, QuantityKind $kind): string => $given->text($si, $kind);

        return new Answer(
            [
                Output::amount('over_kpa', 'Pressure over the valve', QuantityKind::PressureDifference, $over),
                Output::amount('capacity_kw', 'Passes', QuantityKind::Power, $capacity),
                Output::percent('share_percent', 'Of the coil capacity', $share),
            ],
            [
                "{$text($given->of('rated_kw'), QuantityKind::Power)} × ".
                    "√({$text($over, QuantityKind::PressureDifference)} ÷ ".
                    "{$text($given->of('rated_drop_kpa'), QuantityKind::PressureDifference)}) ".
                    "= {$text($capacity, QuantityKind::Power)}.",
            ],
        );
    }
}
