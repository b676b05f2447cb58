<?php

declare(strict_types=1);

namespace Metrum\Work\Replacement;

/** An amount that is not known exactly: its least, its likely and its most. */
final readonly class Estimate
{
    public function __construct(public float $low, public float $likely, public float $high)
    {
    }

    public static function none(): self
    {
        return new self(0.0, 0.0, 0.0);
    }

    public static function of(float $low, float $likely, float $high): self
    {
        return new self(min($low, $likely, $high), $likely, max($low, $likely, $high));
    }

    public function plus(self $other): self
    {
        return new self($this->low + $other->low, $this->likely + $other->likely, $this->high + $other->high);
    }

    /** Each end with the like end of another. @param  self  $by  nothing negative */
    public function times(self $by): self
    {
        return self::of($this->low * $by->low, $this->likely * $by->likely, $this->high * $by->high);
    }

    public function scaled(float $by): self
    {
        return self::of($this->low * $by, $this->likely * $by, $this->high * $by);
    }
}
