<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

use Metrum\Installation\PartId;
use Metrum\Knowledge\Cause;
use Metrum\Knowledge\Fault;

/** What is wrong at a rack: in what all share, or in one circuit of it, or in one of its cases. */
final readonly class RackIll
{
    /**
     * @param  ?PartId  $circuit  null: of what all share
     * @param  int  $coil  which of its cases, from 0; −1: the circuit as a whole
     * @param  int  $compressor  which of them, from 0
     * @param  ?PartId  $group  whose compressors or set point; null: of the first
     * @param  bool  $low  of a set point: too low
     */
    public function __construct(
        public Fault $fault,
        public float $severity,
        public ?PartId $circuit = null,
        public int $coil = -1,
        public ?Cause $cause = null,
        public int $compressor = 0,
        public bool $low = false,
        public ?PartId $group = null,
    ) {
    }

    public static function none(): self
    {
        return new self(Fault::NoFault, 0.0);
    }

    public function isOf(PartId $circuit): bool
    {
        return $this->circuit !== null && $this->circuit->is($circuit);
    }
}
