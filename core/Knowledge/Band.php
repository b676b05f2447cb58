<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

/** What is wanted of a figure, SI, with where the band comes from. */
final readonly class Band
{
    public function __construct(public float $low, public float $high, public string $source)
    {
    }

    public function holds(float $value): bool
    {
        return $value >= $this->low && $value <= $this->high;
    }

    public function middle(): float
    {
        return ($this->low + $this->high) / 2;
    }

    /** How far outside the band (negative below, 0 inside, positive above). */
    public function miss(float $value): float
    {
        return $value < $this->low ? $value - $this->low : max(0.0, $value - $this->high);
    }

    /** Its low or high end by name, else its middle. */
    public function end(string $end): float
    {
        return match ($end) {
            'low' => $this->low,
            'high' => $this->high,
            default => $this->middle(),
        };
    }
}
