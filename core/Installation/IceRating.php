<?php

declare(strict_types=1);

namespace Metrum\Installation;

/** What an ice machine is rated for. Null: not known. */
final readonly class IceRating
{
    /**
     * @param  ?float  $perCycle  kg
     * @param  ?float  $perDay  kg at 21 °C air and 10 °C water
     * @param  ?float  $perDayHot  kg at 32 °C air and 21 °C water
     * @param  ?float  $bridge  m of ice between cubes
     */
    public function __construct(
        public ?float $perCycle = null,
        public ?float $perDay = null,
        public ?float $perDayHot = null,
        public ?float $bridge = null,
    ) {
    }

    public static function of(Design $design): self
    {
        return new self($design->icePerCycle, $design->icePerDay, $design->icePerDayHot, $design->bridgeThickness);
    }
}
