<?php

declare(strict_types=1);

namespace Metrum\Twin;

/**
 * The air side of a coil or condenser, shared by its zones: every zone meets fresh air on its share of the face.
 *
 * Cross-flow with the refrigerant's temperature known: effectiveness = 1 − exp(−NTU) (Kays and London, Compact Heat
 * Exchangers, the limit of a phase change); zones of single phase transfer a share of it. Less air lowers the air's
 * capacity and, by a power of it (0.5 as for most finned coils), the transfer.
 */
final readonly class AirSide
{
    /** Transfer goes with the air's flow to this power. */
    public const USUAL_LAW = 0.5;

    /**
     * @param  float  $capacity  heat capacity rate of the air, W/K, with latent heat counted in
     * @param  float  $transfer  UA of the two-phase zone over the whole face, W/K
     * @param  float  $law  power of the flow with which transfer goes, 0.3 … 0.8
     */
    public function __construct(
        public float $capacity,
        public float $transfer,
        private float $law = self::USUAL_LAW,
    ) {
    }

    /** The same whose transfer goes otherwise with the air's flow. */
    public function obeying(float $law): self
    {
        return new self($this->capacity, $this->transfer, $law);
    }

    /**
     * Heat that the whole face would move per kelvin between air and refrigerant, W/K.
     *
     * @param  float  $quality  of transfer in the zone, 1 for two-phase
     */
    public function conductance(float $quality = 1.0): float
    {
        return $this->capacity * (1 - exp((-$quality * $this->transfer) / $this->capacity));
    }

    /**
     * @param  float  $air  share of the air that still moves, 0.02 … 1
     * @param  float  $surface  share of the transfer left
     */
    public function with(float $air, float $surface = 1.0): self
    {
        $air = max(0.02, $air);

        return new self(
            $this->capacity * $air,
            $this->transfer * $air ** $this->law * max(0.02, $surface),
            $this->law,
        );
    }

    /**
     * The same exchange of heat at the same difference by more air through less surface, or the other way.
     *
     * @param  float  $air  share of the capacity rate; not below what the exchange itself needs
     */
    public function moving(float $air): self
    {
        $effect = $this->conductance();
        $capacity = max(1.05 * $effect, $air * $this->capacity);

        return new self($capacity, -$capacity * log(1 - $effect / $capacity), $this->law);
    }

    /** The same at another size. */
    public function scaled(float $share): self
    {
        return new self($this->capacity * $share, $this->transfer * $share, $this->law);
    }
}
