<?php

namespace App\Picture;

/** One figure of the picture of a circuit's record. Heights count from the upper end of its strip. */
final readonly class HistoryStrip
{
    /**
     * @param  float  $top  where it begins in the picture
     * @param  array{float, float}  $band  upper end and height of what visits scatter by
     * @param  list<float>  $limits
     * @param  array{float, string}  $zero  its height, and how far from it the limit is, in words
     * @param  list<array{float, float, bool, string}>  $dots  place, whether it is beyond the limit, and in words
     * @param  list<array{float, string, string}>  $moves  place, words where they have room, and whole
     * @param  string  $line  the drift; empty where none is told
     */
    public function __construct(
        public float $top,
        public string $label,
        public array $band,
        public array $limits,
        public array $zero,
        public array $dots,
        public array $moves,
        public string $line,
    ) {
    }
}
