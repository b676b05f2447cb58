<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Log\Fact;

/** A clock that was set at a visit. */
final readonly class Clock
{
    public function __construct(public Fact $fact)
    {
    }

    public function ends(): \DateTimeImmutable
    {
        $seconds = (int) round($this->fact->content->value ?? 0.0);

        return $this->fact->takenAt->modify("+$seconds seconds");
    }

    public function runs(\DateTimeInterface $now): bool
    {
        return $this->ends() > $now;
    }
}
