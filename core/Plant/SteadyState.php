<?php

declare(strict_types=1);

namespace Metrum\Plant;

use Metrum\Circuit\Reading;

/** The state in which a plant settles at given box and ambient temperatures; where it cannot, the state it would really be in. */
final readonly class SteadyState
{
    /** Suction (Pa gauge) at which the low-pressure control stops a plant, unless its coil is meant to be colder. */
    private const LOW_CUT_OUT = 10e3;

    /** Condensing dew (K) at which the high-pressure control stops it: saturation near 60 °C. */
    private const HIGH_CUT_OUT = 334.0;

    public function __construct(private Machine $machine, private Surroundings $around)
    {
    }

    /** @param  ?array{float, float, float, float, float}  $start  where it stood a moment ago */
    public function find(?array $start = null): PlantState
    {
        if (! $this->machine->solenoidOpen) {
            return $this->standing(
                'off on low pressure: no liquid passes the solenoid, the coil is pumped empty',
            );
        }
        $loop = new Loop($this->machine, $this->around);
        $solver = new Solver($this->machine, $loop);
        $solution = $solver->solve($start) ?? $this->led($loop, $solver);

        return $solution === null ? $this->standing($this->whyNot()) : $this->at($loop, $solution);
    }

    /**
     * Where no start leads there at once: from the design's weather and box to these, a seventh at a time.
     *
     * @return ?array{float, float, float, float, float}
     */
    private function led(Loop $loop, Solver $solver): ?array
    {
        $design = $this->machine->design;
        $solution = null;
        for ($part = 0; $part <= 7; $part++) {
            $loop->meet(
                new Surroundings(
                    $design->ambient + (($this->around->ambient - $design->ambient) * $part) / 7,
                    $design->box + (($this->around->box - $design->box) * $part) / 7,
                    $this->around->returnGain,
                    $this->around->atmosphere,
                ),
            );
            $solution = $solution === null ? $solver->solve() : $solver->near($solution);
            if ($solution === null) {
                break;
            }
        }
        $loop->meet($this->around);

        return $solution;
    }

    /**
     * States of plants that differ a little from one whose state is known: followed with one Jacobian, good to 1e-4.
     *
     * @param  list<Machine>  $machines
     * @return list<PlantState>
     */
    public static function nearby(PlantState $state, Surroundings $around, array $machines): array
    {
        $states = [];
        $loop = $solver = null;
        foreach ($machines as $machine) {
            $self = new self($machine, $around);
            $loop ??= new Loop($machine, $around);
            $solver ??= new Solver($machine, $loop);
            $loop->meet($around, $machine);
            $solution = $state->solution === null ? null : $solver->follow($state->solution, null);
            $states[] = $solution === null ? $self->find($state->solution) : $self->at($loop, $solution);
        }

        return $states;
    }

    /** @param  array{float, float, float, float, float}  $solution */
    private function at(Loop $loop, array $solution): PlantState
    {
        $misses = $loop->walk($solution);
        $stop = $this->stops($loop);

        return $stop === null ? $this->running($loop, $solution, $misses[4]) : $this->standing($stop);
    }

    /**
     * Box temperature (K, to 2 mK) at which the plant just removes a load (W), by halving; then its state there.
     *
     * @param  float  $load  W
     */
    public static function atLoad(Machine $machine, float $ambient, float $load, float $atmosphere): PlantState
    {
        $low = $machine->design->box - 25.0;
        $high = $machine->design->box + 30.0;
        $state = (new self(
            $machine,
            new Surroundings($ambient, $machine->design->box, atmosphere: $atmosphere),
        ))->find();
        for ($round = 0; $round < 15; $round++) {
            $box = ($low + $high) / 2;
            $state = (new self($machine, new Surroundings($ambient, $box, atmosphere: $atmosphere)))->find(
                $state->solution,
            );
            $state->cooling < $load ? ($low = $box) : ($high = $box);
        }

        return $state;
    }

    /**
     * @param  array{float, float, float, float, float}  $solution
     */
    public function running(Loop $loop, array $solution, float $massMiss): PlantState
    {
        $machine = $this->machine;
        $air = $this->around->atmosphere;
        $electric = $machine->compressor->electricPower($loop->shaft);
        $share =
            ($electric / (1.732 * $machine->compressor->volts * $machine->ratedCurrent * 0.85)) *
            ($machine->compressor->phases === 3 ? 1.0 : 1.732);
        $condenserAir = ($loop->airFlow < 1.0 ? $machine->condenser->with($loop->airFlow) : $machine->condenser)
            ->capacity;
        $through = ($loop->condenserHeat * ($loop->massFlow + $machine->others)) / $loop->massFlow;
        $readings = [
            Reading::SuctionPressure->value => $loop->suctionPressure - $air,
            Reading::EvaporatorPressure->value => $loop->coilPressure - $air,
            Reading::DischargePressure->value => $loop->condensingPressure + $machine->inert - $air,
            Reading::AmbientTemperature->value => $this->around->ambient,
            Reading::CondenserAirOutTemperature->value => $this->around->ambient + $through / $condenserAir,
            Reading::BoxTemperature->value => $this->around->box,
            Reading::SupplyAirTemperature->value => $this->around->box - $loop->coilHeat / $machine->coil->capacity,
            Reading::SuctionTemperatureEvaporator->value => $loop->coilOutlet,
            Reading::SuctionTemperatureCompressor->value => $loop->suctionDew + $loop->suctionSuperheat,
            Reading::DischargeTemperature->value => Compressor::pipeTemperature(
                $this->gasTemperature($loop),
                $this->around->ambient,
            ),
            Reading::CondenserOutletTemperature->value => $loop->condenserOutlet,
            Reading::DrierInletTemperature->value => $loop->liquidTemperature,
            Reading::DrierOutletTemperature->value => $loop->drierOutlet,
            Reading::ValveInletTemperature->value => $loop->valveTemperature,
            Reading::CoilInletTemperature->value => $loop->coilInlet,
            Reading::CompressorCurrent->value => $machine->compressor->current($electric, $share),
            Reading::SupplyVoltage->value => $machine->compressor->volts,
            Reading::DrierDrop->value => $loop->drierDrop,
        ];
        if ($machine->hasReceiver()) {
            $readings[Reading::ReceiverPressure->value] = $loop->condensingPressure + $machine->inert - $air;
            $readings[Reading::ReceiverOutletTemperature->value] = $loop->liquidTemperature;
            $readings[Reading::ReceiverLevel->value] = $loop->level;
        }

        return new PlantState(
            $readings,
            Seen::in($loop, $machine, $this->around),
            null,
            $loop->massFlow,
            $loop->coilHeat,
            $electric,
            min(1.0, $loop->flooded),
            $loop->level,
            $loop->valveQuality,
            $loop->dryShare,
            $loop->mass,
            abs(
                $loop->coilHeat +
                    $loop->shaft * (1 - $machine->compressor->shellLoss()) +
                    $loop->lineHeat -
                    $loop->condenserHeat,
            ) / max(1.0, $loop->coilHeat),
            abs($massMiss),
            $this->coilAir($loop),
            $loop->condenserAir,
            $loop->condenserHeat,
            $loop->opening,
            $loop->bypassed,
            $solution,
            $this->cycle($loop),
        );
    }

    /** @return list<array{float, float}> */
    private function cycle(Loop $loop): array
    {
        $high = $loop->condensingPressure + $this->machine->inert;

        return [
            [$loop->suctionEnthalpy, $loop->suctionPressure],
            [$loop->dischargeEnthalpy, $high],
            [$loop->outletLiquid, $loop->condensingPressure],
            [$loop->atReceiver, $loop->condensingPressure],
            [$loop->atValve, $loop->valvePressure],
            [$loop->atValve, $loop->coilPressure],
            [$loop->outletEnthalpy, $loop->coilPressure],
        ];
    }

    /** Heat that the air gives to the coil, from its own side: zone by zone, share × conductance × difference. */
    private function coilAir(Loop $loop): float
    {
        $box = $this->around->box;
        $coil = $this->machine->coil;
        $twoPhase = (1 - $loop->dryShare) * $coil->conductance() * ($box - ($loop->coilInlet + $loop->dew) / 2);
        $flow = $loop->returnFlow;
        $specific =
            $loop->superheat > 0.01
                ? ($loop->outletEnthalpy - $this->machine->fluid->vapourEnthalpy($loop->dew)) / $loop->superheat
                : 800.0;
        $superheating =
            $loop->superheat > 0.0
                ? $flow *
                    $specific *
                    ($box - $loop->dew) *
                    (1 - exp((-$loop->dryShare * $coil->conductance(0.45)) / ($flow * $specific)))
                : 0.0;

        return $twoPhase + $superheating;
    }

    /** No steady state: would a condenser that can give off anything help? Then it is the head that stops the plant. */
    private function whyNot(): string
    {
        if ($this->machine->charge > 1.02 * $this->machine->design->full) {
            return 'off on high pressure: liquid fills the condenser';
        }
        if (
            $this->machine->charge <
            0.9 * ($this->machine->design->summerCharge - $this->machine->design->buffer)
        ) {
            return 'off on low pressure: too little refrigerant reaches the coil';
        }
        $freed = $this->machine->with(
            condenser: new AirSide(
                8 * $this->machine->condenser->capacity,
                8 * $this->machine->condenser->transfer,
            ),
        );
        $helps = (new Solver($freed, new Loop($freed, $this->around), 400))->solve() !== null;

        return $helps
            ? 'off on high pressure: the condenser cannot give off the heat'
            : 'off on low pressure: the coil is starved';
    }

    private function gasTemperature(Loop $loop): float
    {
        $fluid = $this->machine->fluid;
        $discharge = $loop->condensingPressure + $this->machine->inert;
        $dew = $fluid->dewTemperature($discharge);
        try {
            return $dew + $fluid->superheatOfEnthalpy($dew, $loop->dischargeEnthalpy);
        } catch (\Metrum\Refrigerant\OutsideTable) {
            return $dew + 120.0;
        }
    }

    private function stops(Loop $loop): ?string
    {
        $cold = $this->machine->fluid->dewTemperature(
            max(
                self::LOW_CUT_OUT + $this->around->atmosphere,
                $this->machine->fluid->dewPressure($this->machine->fluid->saturation->lowest),
            ),
        );
        $meant = $this->machine->fluid->dewTemperature($this->machine->design->evaporating) - 18.0;

        return match (true) {
            $this->machine->groupSuction === null &&
                $loop->suctionDew < min($cold, $meant) &&
                $loop->suctionDew < $meant => 'off on low pressure: the coil is starved',
            $loop->condensingDew >
                max(
                    self::HIGH_CUT_OUT,
                    $this->machine->fluid->dewTemperature($this->machine->design->condensing) + 16.0,
                ) => 'off on high pressure: the condenser cannot give off the heat',
            default => null,
        };
    }

    /** Stopped: pressures even out towards the temperatures around, the coil's side low where it was pumped empty. */
    private function standing(string $why): PlantState
    {
        $fluid = $this->machine->fluid;
        $air = $this->around->atmosphere;
        $high = $fluid->bubblePressure($this->around->ambient);
        $low = str_contains($why, 'low pressure')
            ? $air + self::LOW_CUT_OUT
            : min($high, $fluid->dewPressure($this->around->box));
        $readings = [
            Reading::SuctionPressure->value => $low - $air,
            Reading::DischargePressure->value => $high + $this->machine->inert - $air,
            Reading::AmbientTemperature->value => $this->around->ambient,
            Reading::BoxTemperature->value => $this->around->box,
            Reading::SupplyAirTemperature->value => $this->around->box,
            Reading::CompressorCurrent->value => 0.0,
            Reading::SupplyVoltage->value => $this->machine->compressor->volts,
        ];

        return new PlantState(
            $readings,
            Seen::stopped($why, $this->machine),
            $why,
            0.0,
            0.0,
            0.0,
            0.0,
            0.0,
            0.0,
            1.0,
            $this->machine->charge,
            0.0,
            0.0,
            0.0,
            0.0,
            0.0,
            0.0,
            0.0,
            null,
        );
    }
}
