<?php

declare(strict_types=1);

namespace Metrum\Work\Record;

/** One figure of one visit, by its distance from where it is when the system runs well. SI. */
final readonly class HistoryDot
{
    /** @param  float  $at  s since 1970 */
    public function __construct(
        public string $visit,
        public float $at,
        public float $distance,
        public Departure $departure,
        public ?float $ambient,
    ) {
    }
}
