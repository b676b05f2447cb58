<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\CannotBe;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Water;

/**
 * kg a day at other air and water, between and around the two rated points.
 *
 * Each kilogram takes latent heat and the water's warmth: production × heat per kg is the cooling, which changes evenly
 * with the air from 21 to 32 °C. Between the points within 3 %, beyond them an estimate.
 */
final class IceElsewhere implements Calculation
{
    private const COOL = Celsius::ZERO + 21.0;

    private const HOT = Celsius::ZERO + 32.0;

    private const COOL_WATER = Celsius::ZERO + 10.0;

    private const HOT_WATER = Celsius::ZERO + 21.0;

    public function asks(): array
    {
        return [
            Input::number('ice_per_day_kg', 'Ice per day, mild rating', QuantityKind::Mass, 5.0, 10_000.0),
            Input::number('ice_per_day_hot_kg', 'Ice per day, hot rating', QuantityKind::Mass, 5.0, 10_000.0),
            Input::number('air_c', 'Air at the condenser', QuantityKind::Temperature, -10.0, 55.0),
            Input::number('water_c', 'Inlet water', QuantityKind::Temperature, 0.0, 50.0),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        [$cool, $hot] = [$given->of('ice_per_day_kg'), $given->of('ice_per_day_hot_kg')];
        if ($hot > $cool) {
            throw CannotBe::at(
                'ice_per_day_hot_kg',
                "got {$given->kilograms($hot)} in hot air and {$given->kilograms($cool)} in cool air; ".
                    'warm air and water make less ice: check which is which.',
            );
        }
        $water = $given->of('water_c');
        $share = ($given->of('air_c') - self::COOL) / (self::HOT - self::COOL);
        $cooling = $cool * self::heat(self::COOL_WATER);
        $cooling += $share * ($hot * self::heat(self::HOT_WATER) - $cooling);
        $day = max(0.0, $cooling / self::heat($water));

        return new Answer(
            [
                Output::mass('ice_per_day_here_kg', 'Ice per day here', $day),
                Output::percent('of_rated_percent', 'Of the first rated point', $day / $cool),
            ],
            [
                'Rated at '.$given->degrees(self::COOL).' air and '.$given->degrees(self::COOL_WATER).
                    ' water, and at '.$given->degrees(self::HOT).' and '.$given->degrees(self::HOT_WATER).'.',
                sprintf('Each kg takes %.0f kJ from this water.', self::heat($water) / 1e3),
                $share < 0.0 || $share > 1.0
                    ? 'Outside the rated air temperatures: an estimate.'
                    : 'Between the rated points.',
            ],
        );
    }

    /** J/kg from water so warm (K) to ice. */
    private static function heat(float $water): float
    {
        return Water::LATENT + Water::WARMTH * max(0.0, $water - Celsius::ZERO);
    }
}
