<?php

declare(strict_types=1);

namespace Metrum\Twin;

/** One sample of a simulated run. SI. */
final readonly class Moment
{
    /**
     * @param  float  $time  s since the start
     * @param  array<string, float>  $readings  by key of Reading, SI, gauge Pa
     * @param  float  $frost  kg on the coil
     * @param  float  $air  share of the coil's air that moves
     */
    public function __construct(
        public float $time,
        public Mode $mode,
        public bool $calls,
        public bool $fans,
        public ?Trip $tripped,
        public array $readings,
        public float $frost,
        public float $air,
        public float $opening,
        public float $cooling,
        public float $power,
        public float $product,
    ) {
    }
}
