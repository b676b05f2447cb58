<?php

declare(strict_types=1);

namespace Metrum\Installation;

use Metrum\Data\Section;
use Metrum\Quantity\Celsius;

/**
 * Corner points of the field in which a compressor may run, evaporating and condensing (dew), in order round the field:
 * as its manufacturer gives them.
 */
final class EnvelopeCorners
{
    /** As a file has them, in °C. */
    public const KEY = 'envelope_c';

    private const FEWEST = 3;

    private const MOST = 12;

    /** K of evaporating and of condensing that are met. */
    private const EVAPORATING = [Celsius::ZERO - 80.0, Celsius::ZERO + 40.0];

    private const CONDENSING = [Celsius::ZERO - 40.0, Celsius::ZERO + 100.0];

    /**
     * Why such corners are no field; null where they are one.
     *
     * @param  list<array{float, float}>  $corners  K
     */
    public static function objection(array $corners): ?string
    {
        $count = count($corners);
        if ($count < self::FEWEST || $count > self::MOST) {
            return "got $count corners, expected ".self::FEWEST.' to '.self::MOST;
        }
        foreach ($corners as $place => [$evaporating, $condensing]) {
            $number = $place + 1;
            if (! self::isIn($evaporating, self::EVAPORATING) || ! self::isIn($condensing, self::CONDENSING)) {
                return "corner $number: evaporating or condensing is out of reach of any compressor";
            }
            if ($condensing <= $evaporating) {
                return "corner $number: condensing must be above evaporating";
            }
        }

        return self::crosses($corners)
            ? 'the lines between the corners cross: enter them in order round the field'
            : null;
    }

    /** @param  array{float, float}  $span */
    private static function isIn(float $value, array $span): bool
    {
        return $value >= $span[0] && $value <= $span[1];
    }

    /** @param  list<array{float, float}>  $corners */
    private static function crosses(array $corners): bool
    {
        $count = count($corners);
        for ($i = 0; $i < $count; $i++) {
            for ($j = $i + 2; $j < $count; $j++) {
                $isNeighbour = $i === 0 && $j === $count - 1;
                $one = [$corners[$i], $corners[($i + 1) % $count]];
                $other = [$corners[$j], $corners[($j + 1) % $count]];
                if (! $isNeighbour && self::isCrossed(...$one, ...$other)) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @param  array{float, float}  $c
     * @param  array{float, float}  $d
     */
    private static function isCrossed(array $a, array $b, array $c, array $d): bool
    {
        return self::side($a, $b, $c) * self::side($a, $b, $d) < 0.0 &&
            self::side($c, $d, $a) * self::side($c, $d, $b) < 0.0;
    }

    /**
     * On which side of a line through two points a third lies: above 0 left, below 0 right.
     *
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     * @param  array{float, float}  $point
     */
    private static function side(array $from, array $to, array $point): float
    {
        return ($to[0] - $from[0]) * ($point[1] - $from[1]) - ($to[1] - $from[1]) * ($point[0] - $from[0]);
    }

    /** @return list<array{float, float}> K; none where none are given, or they are refused */
    public static function in(Section $design): array
    {
        $given = $design->given(self::KEY);
        if ($given === null) {
            return [];
        }
        $corners = [];
        foreach (is_array($given) ? $given : [null] as $one) {
            [$evaporating, $condensing] = is_array($one) ? [...array_values($one), null, null] : [null, null];
            if (! self::isNumber($evaporating) || ! self::isNumber($condensing)) {
                $design->refuse(self::KEY, 'expected pairs of evaporating and condensing, °C');

                return [];
            }
            $corners[] = [Celsius::ZERO + $evaporating, Celsius::ZERO + $condensing];
        }
        $objection = self::objection($corners);
        if ($objection !== null) {
            $design->refuse(self::KEY, $objection);

            return [];
        }

        return $corners;
    }

    /** @phpstan-assert-if-true int|float $given */
    private static function isNumber(mixed $given): bool
    {
        return is_int($given) || is_float($given);
    }

    /**
     * As a file has them.
     *
     * @param  list<array{float, float}>  $corners  K
     * @return list<array{float|int, float|int}> °C
     */
    public static function written(array $corners): array
    {
        return array_map(
            static fn (array $one): array => [
                CircuitWriter::number($one[0] - Celsius::ZERO),
                CircuitWriter::number($one[1] - Celsius::ZERO),
            ],
            $corners,
        );
    }
}
