<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

use Metrum\Installation\PartId;
use Metrum\Quantity\Copies;

/** One suction group of a rack: its compressors, and the pressure that they hold at their header. SI. */
final readonly class RackGroup
{
    use Copies;

    /**
     * @param  float  $setSuction  Pa abs that it holds at its header
     * @param  non-empty-list<RackCompressor>  $compressors
     * @param  float  $swept  volume of all of them, as a multiple of that of the machine of the high side
     */
    public function __construct(
        public PartId $part,
        public float $setSuction,
        public array $compressors,
        public float $swept = 1.0,
    ) {
    }

    public function holding(float $setSuction): self
    {
        return $this->but(setSuction: $setSuction);
    }

    /** @param  non-empty-list<RackCompressor>  $compressors */
    public function withCompressors(array $compressors): self
    {
        return $this->but(compressors: $compressors);
    }

    /** Share of the gas of all its compressors that those which can run would deliver. */
    public function delivers(): float
    {
        $delivers = 0.0;
        foreach ($this->compressors as $one) {
            $delivers += $one->delivers();
        }

        return $delivers;
    }
}
