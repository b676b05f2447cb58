<?php

namespace App\Picture;

/** How heavily one piece of evidence weighs, as a bar that grows from the right edge. */
final readonly class WeightBar
{
    /** Of a nat, and the longest; what speaks against is drawn within a narrower frame. */
    private const NAT = 20.0;

    private const LONGEST = ['for' => 56.0, 'against' => 54.0];

    private const EDGE = ['for' => 56.0, 'against' => 55.0];

    public float $x;

    public float $width;

    /** @param  float  $nats  above 0 for, below against */
    public function __construct(float $nats)
    {
        $side = $nats < 0.0 ? 'against' : 'for';
        $width = min(self::LONGEST[$side], self::NAT * abs($nats));
        $this->width = round($width, 1);
        $this->x = round(self::EDGE[$side] - $width, 1);
    }
}
