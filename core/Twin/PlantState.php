<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Word;
use Metrum\Quantity\Copies;

/**
 * How a plant stands: its readings as instruments would give them, what can be seen of it, and the figures behind.
 * SI.
 */
final readonly class PlantState
{
    use Copies;

    /**
     * @param  array<string, float>  $readings  by key of Reading, SI, gauge Pa for pressures
     * @param  array<string, Word>  $observations  by key of Observation
     * @param  ?Standstill  $stopped  why, where the plant cannot run as it is; null where it runs steadily
     * @param  float  $energyResidual  of the balance, share of the cooling
     * @param  float  $massResidual  share of the charge
     * @param  array{float, float, float, float, float}|null  $solution  the loop's unknowns
     * @param  list<array{float, float}>  $cycle  enthalpy (J/kg) and pressure (Pa abs): suction, discharge, condenser's
     *                                            outlet, liquid line, valve, coil's inlet, coil's outlet
     * @param  array<string, array<string, float>>  $chances  of each word that people may say of it, by key of
     *                                                        Observation
     */
    public function __construct(
        public array $readings,
        public array $observations,
        public ?Standstill $stopped,
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
        public array $chances = [],
    ) {
    }

    /** Stopped: pressures even out towards the air around; the coil's side stays low where it was pumped empty. */
    public static function standing(Machine $machine, Surroundings $around, Standstill $why): self
    {
        $fluid = $machine->fluid;
        $air = $around->atmosphere;
        $high = $fluid->bubblePressure($around->ambient);
        $low = $why->isByHighPressure()
            ? min($high, $fluid->dewPressure($around->box))
            : $air + SteadyState::LOW_CUT_OUT;

        return new self(
            readings: [
                Reading::SuctionPressure->value => $low - $air,
                Reading::DischargePressure->value => $high + $machine->inert - $air,
                Reading::AmbientTemperature->value => $around->ambient,
                Reading::BoxTemperature->value => $around->box,
                Reading::SupplyAirTemperature->value => $around->box,
                Reading::CompressorCurrent->value => 0.0,
                Reading::SupplyVoltage->value => $machine->compressor->volts,
            ],
            observations: PlantLooks::stopped($why, $machine),
            stopped: $why,
            massFlow: 0.0,
            cooling: 0.0,
            power: 0.0,
            flooded: 0.0,
            level: 0.0,
            valveQuality: 0.0,
            dryShare: 1.0,
            charge: $machine->charge,
            energyResidual: 0.0,
            massResidual: 0.0,
            coilAirHeat: 0.0,
            condenserAirHeat: 0.0,
            condenserHeat: 0.0,
            opening: 0.0,
            bypassed: 0.0,
            solution: null,
        );
    }

    /**
     * One that runs, of which only that is told what can be seen of it.
     *
     * @param  array<string, array<string, float>>  $chances  of each word, by key of Observation
     */
    public static function looking(array $chances): self
    {
        $figures = array_fill(0, 15, 0.0);

        return new self([], [], null, ...[...$figures, null, [], $chances]);
    }

    /**
     * The same with other readings.
     *
     * @param  array<string, float>  $readings  by key of Reading, SI
     */
    public function showing(array $readings): self
    {
        return $this->but(readings: $readings);
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
