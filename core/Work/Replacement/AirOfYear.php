<?php

declare(strict_types=1);

namespace Metrum\Work\Replacement;

use Metrum\Installation\Circuit;
use Metrum\Installation\CondenserPlace;
use Metrum\Quantity\Celsius;

/** The air that a condenser meets over a year: a wave over the months, and one over each day. SI. */
final readonly class AirOfYear
{
    /** K: means of the coldest and the warmest month where nobody gives them, of a mild climate and of indoors. */
    private const OUTDOORS = [Celsius::ZERO + 1.0, Celsius::ZERO + 19.0];

    private const INDOORS = [Celsius::ZERO + 20.0, Celsius::ZERO + 26.0];

    /** K from a day's mean to its warmest hours, outdoors and indoors. */
    private const DAY = 4.0;

    private const DAY_INDOORS = 1.0;

    private const MONTHS = 12;

    /** Parts of a day. */
    private const PARTS = 4;

    private const HOURS = 8760.0;

    /**
     * @param  float  $coldest  K, mean of the coldest month
     * @param  float  $warmest  K, mean of the warmest month
     * @param  float  $day  K from a day's mean to its warmest hours
     */
    public function __construct(public float $coldest, public float $warmest, private float $day)
    {
    }

    /** As it is usual where such a condenser stands, or as it is given. */
    public static function around(Circuit $circuit, ?float $coldest = null, ?float $warmest = null): self
    {
        $isOutdoors = $circuit->condenser === CondenserPlace::AirOutdoor;
        [$cold, $warm] = $isOutdoors ? self::OUTDOORS : self::INDOORS;

        return new self($coldest ?? $cold, $warmest ?? $warm, $isOutdoors ? self::DAY : self::DAY_INDOORS);
    }

    /** @return non-empty-list<array{float, float}> K, and hours of the year at which it is about so warm */
    public function hours(): array
    {
        $mean = ($this->coldest + $this->warmest) / 2.0;
        $season = ($this->warmest - $this->coldest) / 2.0;
        $hours = [];
        foreach (range(0, self::MONTHS - 1) as $month) {
            foreach (range(0, self::PARTS - 1) as $part) {
                $ofYear = cos((2.0 * M_PI * ($month + 0.5)) / self::MONTHS);
                $ofDay = cos((2.0 * M_PI * ($part + 0.5)) / self::PARTS);
                $hours[] = [
                    $mean - $season * $ofYear - $this->day * $ofDay,
                    self::HOURS / (self::MONTHS * self::PARTS),
                ];
            }
        }

        return $hours;
    }
}
