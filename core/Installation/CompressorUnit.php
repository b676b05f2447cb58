<?php

declare(strict_types=1);

namespace Metrum\Installation;

/** One compressor of a group. SI; null: not known. */
final readonly class CompressorUnit
{
    /**
     * @param  string  $name  what people call it; empty: by its number
     * @param  ?float  $capacity  W of cooling
     * @param  ?float  $ratedCurrent  A
     */
    public function __construct(
        public PartId $part,
        public string $name = '',
        public ?float $capacity = null,
        public ?float $ratedCurrent = null,
    ) {
    }
}
