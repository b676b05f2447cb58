<?php

declare(strict_types=1);

namespace Metrum\Twin;

/** Where the solver begins: at the design point, and at warmer, colder and emptier guesses beside it. */
final class Starts
{
    /** Steps from the design point in the logarithms of both pressures and flow, and in the fill. */
    private const BESIDE = [
        [0.0, 0.0, 0.0, 0.0],
        [-0.3, -0.1, -0.3, -0.1],
        [-0.7, -0.2, -0.9, -0.4],
        [0.3, 0.25, 0.3, 1.2],
        [-0.2, -0.4, -0.3, 0.0],
        [-1.1, -0.15, -1.6, -0.6],
    ];

    /**
     * @param  ?array{float, float, float, float, float}  $start  where it stood a moment ago
     * @return list<array{float, float, float, float, float}>
     */
    public static function of(Machine $machine, ?array $start): array
    {
        $design = Sizing::guess($machine);
        $starts = $start === null ? [] : [$start];
        foreach (self::BESIDE as [$e, $c, $m, $z]) {
            $starts[] = [$design[0] + $e, $design[1] + $c, $design[2] + $m, $design[3], $design[4] + $z];
        }
        if ($machine->regulatorSetting === null) {
            return $starts;
        }
        // Below its setting a regulator is all but shut and says nothing about where to go: begin at it, with less
        // flow too.
        $held = log($machine->regulatorSetting);
        $starts = array_map(
            static fn (array $from): array => [max($from[0], $held), $from[1], $from[2], $from[3], $from[4]],
            $starts,
        );
        array_splice($starts, $start === null ? 1 : 2, 0, [
            [$held, $design[1], $design[2] - 0.5, $design[3], $design[4]],
            [$held - 0.01, $design[1], $design[2] - 1.2, $design[3], $design[4]],
        ]);

        return $starts;
    }
}
