<?php

declare(strict_types=1);

namespace Metrum\Twin\Ice;

use Metrum\Quantity\Copies;

/**
 * Plate, sump and water side of a batch ice machine: what a cycle needs beside the refrigerant's loop. SI.
 *
 * Heat flows from the water through ice, scale and plate into the coil: 1/UA = (1 + ice share · thickness + scale)/UA
 * of the bare plate, with thickness 1 where a whole batch hangs on it.
 */
final readonly class Plate
{
    use Copies;

    /**
     * @param  float  $batch  kg of ice that a freeze is meant to make
     * @param  float  $iceShare  resistance of a whole batch of ice, of that of the bare plate
     * @param  float  $film  share of the bare plate's conductance that is left: less where water runs unevenly
     * @param  float  $scale  resistance of scale, of that of the bare plate
     * @param  float  $purged  water that is flushed away with each batch, of its ice
     * @param  float  $kept  share of the sump's water that stays for the next batch
     * @param  float  $inflow  kg/s of water that runs in during the freeze
     * @param  float  $outflow  kg/s that runs out of the sump during it
     * @param  float  $supply  share of the water that it should take which it gets, 0 … 1
     * @param  float  $hotGas  share of the hot gas that reaches the plate in the harvest
     * @param  float  $left  share of the batch that stays on the plate, 0 … 0.8
     * @param  float  $release  J/kg of ice that the harvest takes
     * @param  float  $coldest  K of a condenser that would give the harvest nothing
     * @param  float  $ends  ice at which the freeze ends, of a batch
     * @param  float  $uneven  by which ice is thicker in places than on the whole, of its thickness
     */
    public function __construct(
        public float $batch,
        public float $iceShare = 0.9,
        public float $film = 1.0,
        public float $scale = 0.0,
        public float $purged = 0.5,
        public float $kept = 0.1,
        public float $inflow = 0.0,
        public float $outflow = 0.0,
        public float $supply = 1.0,
        public float $hotGas = 1.0,
        public float $left = 0.0,
        public float $release = 26e3,
        public float $coldest = 262.0,
        public float $ends = 1.0,
        public float $uneven = 0.0,
    ) {
    }

    public function with(float ...$sizes): self
    {
        return $this->but(...$sizes);
    }

    /** Conductance beside the bare plate's. @param  float  $thickness  of the ice, 1 for a whole batch */
    public function conducts(float $thickness): float
    {
        return 1 / (1 / $this->film + $this->iceShare * $thickness + $this->scale);
    }

    /** kg of water that a batch begins with. */
    public function sump(): float
    {
        return $this->batch * (1 - $this->left) * (1 + $this->purged) * $this->supply;
    }

    /** kg of ice that it can become: a float, or water that runs in, fills up what freezes. */
    public function mostIce(float $seconds): float
    {
        return 0.97 * ($this->sump() + $this->batch * $this->left + ($this->inflow - $this->outflow) * $seconds);
    }
}
