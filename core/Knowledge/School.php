<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

/** One way the trade does it, with its reason. */
final readonly class School
{
    /**
     * @param  float  $low  SI
     * @param  float  $high  SI
     */
    public function __construct(
        public string $id,
        public string $name,
        public float $low,
        public float $high,
        public string $reason,
    ) {
    }
}
