<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

use Metrum\Quantity\Copies;
use Metrum\Refrigerant\Refrigerant;
use Metrum\Twin\Machine;

/** A plant of several circuits with its sizes: one high side, one group of compressors, many branches. SI. */
final readonly class RackMachine
{
    use Copies;

    /**
     * @param  Machine  $high  condenser, receiver, head control and all compressors together
     * @param  non-empty-list<RackBranch>  $branches
     * @param  non-empty-list<RackCompressor>  $compressors
     * @param  float  $setSuction  Pa abs that the group holds at its header
     * @param  float  $liquidVolume  m³ of all liquid lines
     * @param  float  $suctionVolume  m³ of all suction lines
     * @param  float  $reclaimVolume  m³; 0 where none is fitted
     * @param  float  $charge  kg of all of it
     * @param  float  $filled  share of a coil in hot gas defrost, and of a reclaim coil in use, that is liquid
     */
    public function __construct(
        public Machine $high,
        public array $branches,
        public array $compressors,
        public float $setSuction,
        public float $liquidVolume,
        public float $suctionVolume,
        public float $reclaimVolume,
        public float $charge,
        public float $filled = 0.45,
    ) {
    }

    public function fluid(): Refrigerant
    {
        return $this->high->fluid;
    }

    public function withHigh(Machine $high): self
    {
        return $this->but(high: $high);
    }

    public function charged(float $charge): self
    {
        return $this->but(charge: max(0.01, $charge));
    }

    public function holding(float $setSuction): self
    {
        return $this->but(setSuction: $setSuction);
    }

    public function filling(float $filled): self
    {
        return $this->but(filled: $filled);
    }

    public function piped(float $liquid, float $suction, float $reclaim): self
    {
        return $this->but(liquidVolume: $liquid, suctionVolume: $suction, reclaimVolume: $reclaim);
    }

    /** @param  non-empty-list<RackCompressor>  $compressors */
    public function withCompressors(array $compressors): self
    {
        return $this->but(compressors: $compressors);
    }

    /** @param  callable(RackBranch, int): RackBranch  $changed */
    public function withBranches(callable $changed): self
    {
        return $this->but(branches: array_map($changed, $this->branches, array_keys($this->branches)));
    }
}
