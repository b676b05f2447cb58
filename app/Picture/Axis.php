<?php

namespace App\Picture;

/** One axis of a plot: where a value lies between its two ends, and the round values on it. */
final readonly class Axis
{
    private function __construct(
        private float $start,
        private float $end,
        private float $from,
        private float $to,
        private float $least = -INF,
        private float $most = INF,
        private bool $isLogarithmic = false,
    ) {
    }

    /**
     * @param  float  $start  where it begins in the picture, and $end where it ends: upward that is the lower number
     * @param  float  $from  value at its start, and $to at its end
     */
    public static function of(float $start, float $end, float $from, float $to): self
    {
        return new self($start, $end, $from, $to);
    }

    /** Of values above 0, by their logarithm. */
    public static function logarithmic(float $start, float $end, float $from, float $to): self
    {
        return new self($start, $end, log($from), log($to), isLogarithmic: true);
    }

    /** The same where what lies beyond its ends stands at them. */
    public function held(): self
    {
        return new self(
            $this->start,
            $this->end,
            $this->from,
            $this->to,
            min($this->from, $this->to),
            max($this->from, $this->to),
            $this->isLogarithmic,
        );
    }

    /** The same where what lies beyond its end stands at that; what lies before its start stands there. */
    public function heldAtItsEnd(): self
    {
        return new self($this->start, $this->end, $this->from, $this->to, -INF, $this->to, $this->isLogarithmic);
    }

    public function at(float $value): float
    {
        $along = max($this->least, min($this->most, $this->isLogarithmic ? log($value) : $value));
        $span = $this->to - $this->from;

        return $this->start + (($this->end - $this->start) * ($along - $this->from)) / ($span === 0.0 ? 1.0 : $span);
    }

    /** Whether a place in the picture lies between its ends. */
    public function holds(float $place): bool
    {
        return $place >= min($this->start, $this->end) && $place <= max($this->start, $this->end);
    }

    /** The value that stands at a share of its length, 0 … 1. */
    public function value(float $share): float
    {
        $along = $this->from + $share * ($this->to - $this->from);

        return $this->isLogarithmic ? exp($along) : $along;
    }

    /**
     * Round values on it.
     *
     * @param  float  $step  between two of them
     * @param  float  $zero  from which they are counted
     * @return list<float>
     */
    public function rounds(float $step, float $zero = 0.0): array
    {
        $rounds = [];
        for ($value = $zero + $step * ceil(($this->from - $zero) / $step); $value <= $this->to; $value += $step) {
            $rounds[] = $value;
        }

        return $rounds;
    }
}
