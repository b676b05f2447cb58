<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

use Metrum\Quantity\Copies;

/** One compressor of a rack. */
final readonly class RackCompressor
{
    use Copies;

    /**
     * @param  float  $share  of the swept volume of all, 0 … 1
     * @param  float  $wear  share of the gas that leaks back, 0 … 1
     * @param  bool  $isOut  does not run although it is called
     */
    public function __construct(public float $share, public float $wear = 0.0, public bool $isOut = false)
    {
    }

    public function worn(float $wear): self
    {
        return $this->but(wear: $wear);
    }

    public function out(): self
    {
        return $this->but(isOut: true);
    }

    public function of(float $share): self
    {
        return $this->but(share: $share);
    }

    /** Share of the gas of all that it would deliver. */
    public function delivers(): float
    {
        return $this->isOut ? 0.0 : $this->share * (1 - 0.75 * $this->wear);
    }
}
