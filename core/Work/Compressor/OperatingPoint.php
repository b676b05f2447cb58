<?php

declare(strict_types=1);

namespace Metrum\Work\Compressor;

/** Where a compressor runs: saturated suction and condensing by dew, K; and in which air, where that is foretold. */
final readonly class OperatingPoint
{
    /** @param  ?float  $ambient  K; null where it was read */
    public function __construct(
        public PointKind $kind,
        public float $evaporating,
        public float $condensing,
        public ?float $ambient = null,
    ) {
    }
}
