<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Rack;

/** How far one of several alike stands from the others. */
final readonly class Spread
{
    /** @param  non-empty-list<float>  $of @return float the one farthest from nothing */
    public static function farthest(array $of): float
    {
        return max($of) > -min($of) ? max($of) : min($of);
    }

    /** @param  non-empty-list<float>  $of  two at least @return float how far the one farthest from the others is */
    public static function standingApart(array $of): float
    {
        $high = max($of) - self::rest($of, max($of));
        $low = min($of) - self::rest($of, min($of));

        return $high > -$low ? $high : $low;
    }

    /** @param  list<float>  $of  two at least @return float the middle of all but one */
    public static function rest(array $of, float $one): float
    {
        unset($of[(int) array_search($one, $of, true)]);

        return RackExamination::median(array_values($of));
    }
}
