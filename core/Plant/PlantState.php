<?php

declare(strict_types=1);

namespace Metrum\Plant;

use Metrum\Circuit\Observation;
use Metrum\Circuit\Reading;
use Metrum\Circuit\Word;

/** How a plant stands: its readings as instruments would give them, what can be seen of it, and the figures behind. SI. */
final readonly class PlantState
{
    /**
     * @param  array<string, float>  $readings  by key of Reading, SI, gauge Pa for pressures
     * @param  array<string, Word>  $observations  by key of Observation
     * @param  ?string  $stopped  in words, where the plant cannot run as it is; null where it runs steadily
     * @param  float  $energyResidual  of the balance, share of the cooling
     * @param  float  $massResidual  share of the charge
     * @param  array{float, float, float, float, float}|null  $solution  the loop's unknowns
     * @param  list<array{float, float}>  $cycle  enthalpy (J/kg) and pressure (Pa abs): suction, discharge, condenser's outlet, liquid line, valve, coil's inlet, coil's outlet
     */
    public function __construct(
        public array $readings,
        public array $observations,
        public ?string $stopped,
        public float $massFlow,
        public float $cooling,
        public float $power,
        public float $flooded,
        public float $level,
        public float $valveQuality,
        public float $dryShare,
        public float $charge,
        public float $energyResidual,
        public float $massResidual,
        public float $coilAirHeat,
        public float $condenserAirHeat,
        public float $condenserHeat,
        public float $opening,
        public float $bypassed,
        public ?array $solution,
        public array $cycle = [],
    ) {
    }

    public function runs(): bool
    {
        return $this->stopped === null;
    }

    public function reading(Reading $reading): ?float
    {
        return $this->readings[$reading->value] ?? null;
    }

    public function observed(Observation $observation): ?Word
    {
        return $this->observations[$observation->value] ?? null;
    }
}
