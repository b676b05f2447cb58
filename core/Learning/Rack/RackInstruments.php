<?php

declare(strict_types=1);

namespace Metrum\Learning\Rack;

use Metrum\Twin\Dice;

/** What people's instruments make of a rack: gauges with gain and offset, clamps drawn toward the air around. */
final readonly class RackInstruments
{
    /** Share of a clamp's difference to the air that it loses at most, usually. */
    private const DRAWN = 0.03;

    private const CLAMP = 0.7;

    private const AIR = 0.35;

    public function __construct(private Dice $dice)
    {
    }

    /** Gauge Pa. @param  float  $absolute  Pa @param  float  $offset  Pa by which such gauges are off */
    public function gauge(float $absolute, float $atmosphere, float $offset): float
    {
        return ($absolute - $atmosphere) * $this->dice->factor(0.006) + $this->dice->around(0.0, $offset);
    }

    /** K. @param  float  $air  around the pipe */
    public function clamp(float $pipe, float $air): float
    {
        $drawn = abs($this->dice->around(0.0, self::DRAWN));

        return $pipe + $drawn * ($air - $pipe) + $this->dice->around(0.0, self::CLAMP);
    }

    /** K. */
    public function air(float $kelvin): float
    {
        return $this->dice->around($kelvin, self::AIR);
    }
}
