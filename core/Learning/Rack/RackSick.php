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
     * @param  float  $entering  K of the air that its condenser draws
     */
    public function __construct(
        public RackMachine $built,
        public RackMachine $machine,
        public RackState $now,
        public RackIll $ill,
        public float $entering,
    ) {
    }
}
