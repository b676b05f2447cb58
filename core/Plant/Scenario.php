<?php

declare(strict_types=1);

namespace Metrum\Plant;

use Metrum\Circuit\Circuit;
use Metrum\Circuit\Fault;
use Metrum\Circuit\HouseRules;

/** A question to the twin: which plant, what it meets, what is wrong with it, what was turned or added. SI. */
final readonly class Scenario
{
    /** Pa that one turn of a regulator's stem raises its setting (knowledge: 20 to 55 kPa are usual). */
    public const REGULATOR_TURN = 35e3;

    /**
     * @param  ?float  $box  K; null: by the load, else the design box
     * @param  ?float  $loadShare  of the design cooling, where the box is to find its own temperature
     * @param  ?float  $returnGain  K
     * @param  list<array{Fault, float}>  $faults
     */
    public function __construct(
        public Circuit $circuit,
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

    /** The plant of the scenario, sound, as it was sized. */
    public function sound(HouseRules $rules = new HouseRules()): Machine
    {
        return TwinExpectation::twinOf($this->circuit, $rules)->machine;
    }

    /** With its faults in it and its adjustments made. */
    public function machine(HouseRules $rules = new HouseRules()): Machine
    {
        return $this->of($this->sound($rules));
    }

    /** A given plant with the scenario's faults in it and its adjustments made. */
    public function of(Machine $machine): Machine
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

        return $machine->with(
            feed: $machine->feed->turned($this->valveTurns),
            charge: max(0.02 * $machine->charge, $machine->charge + $this->added),
            regulatorSetting: $machine->regulatorSetting === null
                ? null
                : $machine->regulatorSetting + self::REGULATOR_TURN * $this->regulatorTurns,
        );
    }

    public function surroundings(Machine $machine): Surroundings
    {
        return new Surroundings(
            $this->ambient ?? $machine->design->ambient,
            $this->box ?? $machine->design->box,
            $this->returnGain,
            $this->circuit->atmosphere->pascal,
        );
    }

    public function steady(HouseRules $rules = new HouseRules()): PlantState
    {
        return $this->steadyOf($this->machine($rules));
    }

    /** @param  Machine  $machine  with or without the scenario's faults and adjustments */
    public function steadyOf(Machine $machine): PlantState
    {
        if ($this->box === null && $this->loadShare !== null) {
            return SteadyState::atLoad(
                $machine,
                $this->ambient ?? $machine->design->ambient,
                $this->loadShare * $machine->design->cooling,
                $this->circuit->atmosphere->pascal,
            );
        }

        return (new SteadyState($machine, $this->surroundings($machine)))->find();
    }

    public function simulation(HouseRules $rules = new HouseRules()): Simulation
    {
        return $this->simulationOf($this->sound($rules));
    }

    public function simulationOf(Machine $machine): Simulation
    {
        $around = $this->surroundings($machine);
        $adjusted = new self(
            $this->circuit,
            $this->ambient,
            $this->box,
            $this->loadShare,
            $this->returnGain,
            [],
            $this->valveTurns,
            $this->regulatorTurns,
            $this->added,
            $this->coilDirt,
            $this->condenserDirt,
        );

        return Simulation::of(
            $adjusted->of($machine),
            $around->ambient,
            $around->box,
            $this->faults,
            $this->loadShare === null ? null : Room::for($machine)->loaded($this->loadShare),
        );
    }
}
