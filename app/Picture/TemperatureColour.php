<?php

namespace App\Picture;

/** Temperature as colour: frost over stone to ember. The only meaning that colour has in Metrum. */
final class TemperatureColour
{
    private const STOPS = [
        [233.15, 18, 96, 118],
        [258.15, 37, 114, 131],
        [278.15, 96, 148, 156],
        [290.15, 146, 156, 150],
        [303.15, 189, 137, 97],
        [318.15, 196, 120, 70],
        [348.15, 184, 82, 38],
        [378.15, 158, 52, 26],
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
