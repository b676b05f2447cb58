<?php

namespace App\Picture;

/** The header of one suction group in the picture of a rack: a line across the columns of its circuits. */
final readonly class RackHeader
{
    /**
     * @param  float  $from  across, where it begins
     * @param  float  $to  across, where it ends
     * @param  float  $y  at its saturation (dew)
     * @param  string  $name  "suction header", of several groups "MT header"
     * @param  string  $at  its saturation, as written
     * @param  string  $set  what it is set to; empty where that was not read
     */
    public function __construct(
        public float $from,
        public float $to,
        public float $y,
        public string $name,
        public string $at,
        public string $set,
    ) {
    }
}
