<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

/** How one circuit of a rack stands. SI. */
final readonly class CircuitState
{
    /**
     * @param  float  $pressure  in its coils, Pa abs
     * @param  float  $saturated  the same as dew temperature, K
     * @param  float  $flow  kg/s; 0 where nothing flows
     * @param  float  $cooling  W
     * @param  float  $held  kg in its coils
     * @param  ?float  $opening  of its regulator, 0 … 1; null where none is fitted
     * @param  list<CaseState>  $cases
     */
    public function __construct(
        public BranchState $state,
        public float $pressure,
        public float $saturated,
        public float $flow,
        public float $cooling,
        public float $held,
        public ?float $opening,
        public array $cases,
    ) {
    }

    /** K of the air that enters the warmest of its coils; null where none cools. */
    public function warmest(): ?float
    {
        return $this->cases === [] ? null : max(
            array_map(static fn (CaseState $one): float => $one->air, $this->cases),
        );
    }
}
