<?php

declare(strict_types=1);

namespace Metrum\Card\Sums;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\Celsius;

/**
 * How much of flake ice is unfrozen water, by how far it cools warm water (heat balance of a bucket): what is frozen
 * takes 334 kJ/kg to melt, and all of it warms to the end, 4.19 kJ/(kg K).
 */
final class IceMoisture implements Calculation
{
    private const MELTING = 334e3;

    private const WATER = 4190.0;

    public function asks(): array
    {
        return [
            Input::mass('water_kg', 'Warm water'),
            Input::temperature('before_c', 'Before'),
            Input::mass('ice_kg', 'Ice stirred in'),
            Input::temperature('after_c', 'After'),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $ice = max(1e-3, $given->of('ice_kg'));
        $gave = $given->of('water_kg') * self::WATER * ($given->of('before_c') - $given->of('after_c'));
        $warmed = $ice * self::WATER * ($given->of('after_c') - Celsius::ZERO);
        $frozen = max(0.0, min(1.0, ($gave - $warmed) / ($ice * self::MELTING)));

        return new Answer(
            [Output::percent('moisture_percent', 'Unfrozen water', 1 - $frozen)],
            [
                "{$given->kilograms($given->of('water_kg'))} cooled by ".
                    "{$given->kelvins($given->of('before_c') - $given->of('after_c'))}: ".
                    "{$given->percent($frozen)} of the ice was frozen.",
            ],
        );
    }
}
