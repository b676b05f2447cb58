<?php

declare(strict_types=1);

namespace Metrum\Installation;

use Metrum\Quantity\Copies;

/** What is planned and known of a plant that several circuits share. SI; null: not known. */
final readonly class RackDesign
{
    use Copies;

    /**
     * @param  ?float  $suction  saturated suction (dew) at the header as planned, K
     * @param  ?float  $level  of the receiver when it ran well with nothing in defrost, 0 … 1
     * @param  ?float  $levelAmbient  air entering the condenser then, K
     * @param  ?float  $reclaimVolume  of the heat reclaim coil, m³
     * @param  ?float  $liquidVolume  of all liquid lines, m³
     */
    public function __construct(
        public ?float $suction = null,
        public ?float $level = null,
        public ?float $levelAmbient = null,
        public ?float $reclaimVolume = null,
        public ?float $liquidVolume = null,
    ) {
    }

    /** @param  float  $suction  K of dew at the header */
    public function at(float $suction): self
    {
        return $this->but(suction: $suction);
    }
}
