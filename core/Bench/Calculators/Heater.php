<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\CannotBe;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;

/** Resistance heaters on one phase or on three. */
final class Heater
{
    public static function phases(): Input
    {
        return Input::count('phases', 'Phases', 1, 3);
    }

    /** @throws CannotBe */
    public static function isThreePhase(Inputs $given): bool
    {
        return match ($given->count('phases')) {
            1 => false,
            3 => true,
            default => throw CannotBe::at('phases', 'you entered 2; enter 1 or 3'),
        };
    }

    /**
     * Current of a balanced load: power ÷ voltage, on three phases ÷ √3 as well.
     *
     * @param  string  $voltage  key of the voltage that the power is given for
     * @return float A
     *
     * @throws CannotBe
     */
    public static function current(Inputs $given, string $voltage): float
    {
        $single = $given->of('power_w') / $given->of($voltage);

        return self::isThreePhase($given) ? $single / sqrt(3) : $single;
    }

    /** The arithmetic in words. */
    public static function step(Inputs $given, string $voltage, float $current): string
    {
        return sprintf(
            'Rated current = %s W ÷ %s V%s = %s A.',
            $given->number($given->of('power_w'), 0),
            $given->number($given->of($voltage), 0),
            self::isThreePhase($given) ? ' ÷ √3' : '',
            $given->number($current),
        );
    }
}
