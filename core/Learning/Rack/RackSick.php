<?php

declare(strict_types=1);

namespace Metrum\Learning\Rack;

use Metrum\Twin\Rack\RackIll;
use Metrum\Twin\Rack\RackMachine;
use Metrum\Twin\Rack\RackState;

/** A drawn rack with what is wrong at it, and how it stands. */
final readonly class RackSick
{
    /**
     * @param  RackMachine  $built  without it
     * @param  RackMachine  $machine  with it
     * @param  RackIll  $beside  what is wrong at a circuit beside what all share; nothing as a rule
     * @param  float  $entering  K of the air that its condenser draws
     */
    public function __construct(
        public RackMachine $built,
        public RackMachine $machine,
        public RackState $now,
        public RackIll $ill,
        public RackIll $beside,
        public float $entering,
    ) {
    }

    /** What is wrong at a circuit, wherever it is. */
    public function ofCircuit(): RackIll
    {
        return $this->ill->circuit === null ? $this->beside : $this->ill;
    }
}
