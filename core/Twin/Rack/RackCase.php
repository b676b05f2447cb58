<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

use Metrum\Quantity\Copies;
use Metrum\Twin\Machine;

/** One case or room of a circuit, or several that are alike: its coil and valve, its load. */
final readonly class RackCase
{
    use Copies;

    /**
     * @param  Machine  $machine  coil and valve of one of them
     * @param  int  $count  how many are alike
     */
    public function __construct(
        public Machine $machine,
        public CaseLoad $load,
        public int $count = 1,
    ) {
    }

    public function with(Machine|CaseLoad|int $changed): self
    {
        return match (true) {
            $changed instanceof Machine => $this->but(machine: $changed),
            $changed instanceof CaseLoad => $this->but(load: $changed),
            default => $this->but(count: $changed),
        };
    }
}
