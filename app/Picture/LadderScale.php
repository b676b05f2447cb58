<?php

namespace App\Picture;

/** Where the rungs of a ladder of evidence stand, between the ends of the widest. */
final readonly class LadderScale
{
    private const FROM = 2.0;

    private const TO = 198.0;

    /** So much of the smallest is seen. */
    private const LEAST = 1.5;

    private Axis $axis;

    /**
     * @param  float  $low  nats at the left end
     * @param  float  $high  nats at the right, above $low
     */
    public function __construct(float $low, float $high)
    {
        $this->axis = Axis::of(self::FROM, self::TO, $low, $high);
    }

    /** Where nothing speaks for or against. */
    public function middle(): float
    {
        return $this->at(0.0);
    }

    /**
     * @param  float  $from  nats before it
     * @param  float  $to  nats with it
     * @return array{x: float, width: float}
     */
    public function rung(float $from, float $to): array
    {
        $ends = [$this->at($from), $this->at($to)];

        return ['x' => min($ends), 'width' => max(self::LEAST, max($ends) - min($ends))];
    }

    private function at(float $nats): float
    {
        return round($this->axis->at($nats), 1);
    }
}
