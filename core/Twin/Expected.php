<?php

declare(strict_types=1);

namespace Metrum\Twin;

/** What a healthy plant should read: the value and its standard deviation (plant not known, and instruments), SI. */
final readonly class Expected
{
    public function __construct(public float $value, public float $deviation)
    {
    }

    /** With another, independent deviation added. */
    public function blurred(float $deviation): self
    {
        return new self($this->value, hypot($this->deviation, $deviation));
    }

    public function widened(float $times): self
    {
        return new self($this->value, $this->deviation * $times);
    }
}
