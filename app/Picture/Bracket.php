<?php

namespace App\Picture;

/** A gap in the drawing: its bracket, and where its label hangs. */
final readonly class Bracket
{
    /**
     * @param  ?string  $path  SVG; null where only a label hangs there
     * @param  float  $x1  ends of its back
     */
    public function __construct(
        public Gap $gap,
        public ?string $path,
        public float $x1,
        public float $y1,
        public float $x2,
        public float $y2,
    ) {
    }

    /** @return array{float, float} the middle of its back */
    public function anchor(): array
    {
        return [($this->x1 + $this->x2) / 2, ($this->y1 + $this->y2) / 2];
    }
}
