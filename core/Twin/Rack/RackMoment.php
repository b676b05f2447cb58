<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

/** One moment of a rack's day. */
final readonly class RackMoment
{
    /**
     * @param  int  $minute  of the day
     * @param  list<string>  $standing  circuits that do not cool, by part
     * @param  float  $over  K by which the warmest case is over its set point; 0 where none is
     * @param  string  $warmest  its circuit, by part; empty where none is over
     */
    public function __construct(
        public int $minute,
        public RackState $state,
        public array $standing,
        public float $over,
        public string $warmest,
    ) {
    }
}
