<?php

namespace App\Picture;

/** Two axes, and the line through points between them. */
final readonly class Plot
{
    public function __construct(public Axis $x, public Axis $y)
    {
    }

    /**
     * "M12.0 40.0 L…" through values; empty where there are none.
     *
     * @param  list<array{float, float}>  $points
     */
    public function path(array $points): string
    {
        return self::through(array_map(
            fn (array $one): array => [$this->x->at($one[0]), $this->y->at($one[1])],
            $points,
        ));
    }

    /**
     * The same through places in the picture.
     *
     * @param  list<array{float, float}>  $places
     */
    public static function through(array $places): string
    {
        $corners = array_map(static fn (array $one): string => sprintf('%.1f %.1f', ...$one), $places);

        return $corners === [] ? '' : 'M'.implode(' L', $corners);
    }
}
