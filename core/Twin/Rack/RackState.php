<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

/** How a plant of several circuits stands. SI. */
final readonly class RackState
{
    /**
     * @param  float  $condensing  Pa abs
     * @param  float  $liquid  J/kg after the receiver
     * @param  float  $liquidTemperature  K there
     * @param  float  $quality  share of gas there
     * @param  float  $condenserOutlet  K
     * @param  float  $airOut  K of the air that leaves the condenser
     * @param  float  $fill  below 0 gas reaches the liquid line, above 1 liquid backs up
     * @param  float  $level  of the receiver, 0 … 1
     * @param  float  $flow  kg/s through all circuits
     * @param  float  $cooling  W
     * @param  float  $power  W
     * @param  float  $flooded  share of the condenser that holds liquid
     * @param  float  $fans  share of the condenser's air that moves
     * @param  array<string, float>  $held  kg by place, all but the liquid in the receiver
     * @param  array<string, CircuitState>  $circuits  by their part
     * @param  array<string, GroupState>  $groups  by their part
     * @param  array<string, float>  $floors  Pa abs at which regulators hold their coils, by the circuit's part
     */
    public function __construct(
        public float $condensing,
        public float $liquid,
        public float $liquidTemperature,
        public float $quality,
        public float $condenserOutlet,
        public float $airOut,
        public float $fill,
        public float $level,
        public float $flow,
        public float $cooling,
        public float $power,
        public float $flooded,
        public float $fans,
        public array $held,
        public array $circuits,
        public array $groups,
        public array $floors,
    ) {
    }

    /** Of a plant with one suction group, that; of several the first. */
    public function first(): GroupState
    {
        return array_values($this->groups)[0] ?? throw new \LogicException('a rack has a suction group');
    }
}
