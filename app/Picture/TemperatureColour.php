<?php

namespace App\Picture;

use Metrum\Quantity\Celsius;

/** Temperature as colour: frost over stone to ember. The only meaning that colour has in Metrum. */
final class TemperatureColour
{
    private const STOPS = [
        [Celsius::ZERO - 40.0, 18, 96, 118],
        [Celsius::ZERO - 15.0, 37, 114, 131],
        [Celsius::ZERO + 5.0, 96, 148, 156],
        [Celsius::ZERO + 17.0, 146, 156, 150],
        [Celsius::ZERO + 30.0, 189, 137, 97],
        [Celsius::ZERO + 45.0, 196, 120, 70],
        [Celsius::ZERO + 75.0, 184, 82, 38],
        [Celsius::ZERO + 105.0, 158, 52, 26],
    ];

    /** @param  float  $kelvin  any */
    public static function of(float $kelvin): string
    {
        $last = count(self::STOPS) - 1;
        $kelvin = max(self::STOPS[0][0], min(self::STOPS[$last][0], $kelvin));
        $i = 0;
        while ($i < $last - 1 && $kelvin > self::STOPS[$i + 1][0]) {
            $i++;
        }
        [$from, $to] = [self::STOPS[$i], self::STOPS[$i + 1]];
        $share = ($kelvin - $from[0]) / max(0.1, $to[0] - $from[0]);

        return sprintf(
            'rgb(%d,%d,%d)',
            ...array_map(static fn (int $c): int => (int) round($from[$c] + $share * ($to[$c] - $from[$c])), [
                1,
                2,
                3,
            ]),
        );
    }
}
