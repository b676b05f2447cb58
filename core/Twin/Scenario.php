<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Knowledge\Fault;
use Metrum\Quantity\Copies;

/** A question to the twin: which plant, what it meets, what is wrong with it, what was turned or added. SI. */
final readonly class Scenario
{
    use Copies;

    /** Pa that one turn of a regulator's stem raises its setting (knowledge.md §9: 20 to 55 kPa are usual). */
    public const REGULATOR_TURN = 35e3;

    /** Share of its charge that a plant keeps whatever is taken out. */
    private const LEAST_CHARGE = 0.02;

    /**
     * @param  Machine  $sound  the plant, as it was sized
     * @param  ?float  $box  K; null: by the load, else the design box
     * @param  ?float  $loadShare  of the design cooling, where the box is to find its own temperature
     * @param  ?float  $returnGain  K
     * @param  list<array{Fault, float}>  $faults
     * @param  float  $added  kg
     * @param  ?float  $coilDirt  0 … 1, severity of too little air
     * @param  ?float  $condenserDirt  the same
     */
    public function __construct(
        public Machine $sound,
        public ?float $ambient = null,
        public ?float $box = null,
        public ?float $loadShare = null,
        public ?float $returnGain = null,
        public array $faults = [],
        public float $valveTurns = 0.0,
        public float $regulatorTurns = 0.0,
        public float $added = 0.0,
        public ?float $coilDirt = null,
        public ?float $condenserDirt = null,
    ) {
    }

    /** The plant with the scenario's faults in it and its adjustments made. */
    public function machine(): Machine
    {
        return $this->done($this->sound);
    }

    /** Another plant with the same done to it. */
    public function done(Machine $machine): Machine
    {
        foreach ($this->faults as [$fault, $severity]) {
            $machine = Disorder::in($machine, $fault, $severity);
        }
        if ($this->coilDirt !== null && $this->coilDirt > 0.0) {
            $machine = Disorder::in($machine, Fault::EvaporatorAirflowLow, $this->coilDirt);
        }
        if ($this->condenserDirt !== null && $this->condenserDirt > 0.0) {
            $machine = Disorder::in($machine, Fault::CondenserAirflowLow, $this->condenserDirt);
        }
        $setting = $machine->regulatorSetting;

        return $machine->with(
            feed: $machine->feed->turned($this->valveTurns),
            charge: max(self::LEAST_CHARGE * $machine->charge, $machine->charge + $this->added),
            regulatorSetting: $setting === null
                ? null
                : $setting + self::REGULATOR_TURN * $this->regulatorTurns,
        );
    }

    public function surroundings(): Surroundings
    {
        $design = $this->sound->design;

        return new Surroundings(
            $this->ambient ?? $design->ambient,
            $this->box ?? $design->box,
            $this->returnGain,
            $this->sound->circuit->atmosphere->pascal,
        );
    }

    public function steady(): PlantState
    {
        return $this->steadyOf($this->machine());
    }

    /** The sound plant's state under the same conditions. */
    public function soundState(): PlantState
    {
        return $this->steadyOf($this->sound);
    }

    public function simulation(): Simulation
    {
        $around = $this->surroundings();
        $room = $this->loadShare === null ? null : Room::for($this->sound)->loaded($this->loadShare);

        return Simulation::of(
            $this->but(faults: [])->machine(),
            $around->ambient,
            $around->box,
            $this->faults,
            $room,
        );
    }

    private function steadyOf(Machine $machine): PlantState
    {
        if ($this->box === null && $this->loadShare !== null) {
            $load = $this->loadShare * $machine->design->cooling;

            return SteadyState::atLoad(
                $machine,
                $this->ambient ?? $machine->design->ambient,
                $load,
                $this->sound->circuit->atmosphere->pascal,
            );
        }

        return (new SteadyState($machine, $this->surroundings()))->find();
    }
}
