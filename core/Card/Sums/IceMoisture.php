<?php

declare(strict_types=1);

namespace Metrum\Card\Sums;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\Water;

/**
 * How much of flake ice is unfrozen water, by how far it cools warm water (heat balance of a bucket): what is frozen
 * takes its latent heat to melt, and all of it warms to the end.
 */
final class IceMoisture implements Calculation
{
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
        $gave = $given->of('water_kg') * Water::WARMTH * ($given->of('before_c') - $given->of('after_c'));
        $warmed = $ice * Water::WARMTH * ($given->of('after_c') - Celsius::ZERO);
        $frozen = max(0.0, min(1.0, ($gave - $warmed) / ($ice * Water::LATENT)));

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
