<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

/** How one suction group of a rack stands. SI. */
final readonly class GroupState
{
    /**
     * @param  float  $suction  at its header, Pa abs
     * @param  float  $returnGas  K at its compressors
     * @param  float  $discharge  K of its discharge pipe
     * @param  float  $flow  kg/s
     * @param  float  $power  W
     * @param  bool  $allRun  whether every compressor of it that can runs
     * @param  float  $running  share of its swept volume that runs
     */
    public function __construct(
        public float $suction,
        public float $returnGas,
        public float $discharge,
        public float $flow,
        public float $power,
        public bool $allRun,
        public float $running,
    ) {
    }
}
