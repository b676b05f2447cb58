<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Rack;

use Metrum\Installation\PartId;
use Metrum\Knowledge\Asked;

/** Something to look at next at a plant of several circuits, and where. */
final readonly class RackCheck
{
    /**
     * @param  PartId  $of  the plant, a circuit or a compressor
     * @param  float  $gain  bits that its answer would tell
     * @param  array<string, array<string, float>>  $outcomes  probability by answer and Fault; none for a reading
     */
    public function __construct(
        public PartId $of,
        public Asked $asked,
        public float $gain,
        public int $minutes,
        public array $outcomes = [],
    ) {
    }

    /** Bits a minute. */
    public function worth(): float
    {
        return $this->gain / max(1.0, (float) $this->minutes);
    }
}
