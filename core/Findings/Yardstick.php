<?php

declare(strict_types=1);

namespace Metrum\Findings;

/** What a sound plant's differences are here and now, K: some signs are measured by them. Null where not known. */
final readonly class Yardstick
{
    public function __construct(
        public ?float $tdCoil = null,
        public ?float $tdSuction = null,
        public ?float $split = null,
    ) {
    }
}
