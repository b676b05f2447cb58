<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Refrigerant\OutsideTable;

/**
 * The state in which a plant settles at given box and ambient temperatures; where it cannot, the state it would be
 * in.
 */
final readonly class SteadyState
{
    /** Pa gauge at which the low-pressure control stops a plant, unless its coil is meant to be colder. */
    public const LOW_CUT_OUT = 10e3;

    /** Condensing dew (K) at which the high-pressure control stops it: saturation near 60 °C. */
    private const HIGH_CUT_OUT = 334.0;

    /** K of dew below the design that no suction is meant to reach, and above it that no head is. */
    private const COLDER_THAN_MEANT = 18.0;

    private const WARMER_THAN_MEANT = 16.0;

    /** Steps from the design's weather to these, and from no heat exchanger to this one. */
    private const LEADING = 7;

    private const EXCHANGING = 8;

    /** Steps from the charge of the plan to another one. */
    private const FILLING = 12;

    /** The finest of them, where the way bends. */
    private const FINEST = 90;

    private const MOST_TRIES = 12;

    /** Walks in which the next step is found, or not at all. */
    private const NEXT = 100;

    /** K around the design box in which a load finds its temperature, and halvings of that (to 2 mK). */
    private const COLDER_BOX = 25.0;

    private const WARMER_BOX = 30.0;

    private const HALVINGS = 15;

    /** Miss with which a state nearby is found. */
    private const NEARLY = 1.5e-3;

    public function __construct(private Machine $machine, private Surroundings $around)
    {
    }

    /** @param  ?array{float, float, float, float, float}  $start  where it stood a moment ago */
    public function find(?array $start = null): PlantState
    {
        if (! $this->machine->solenoidOpen) {
            return $this->standing(Standstill::SolenoidShut);
        }
        $loop = new Loop($this->machine, $this->around);
        $solver = new Solver($this->machine, $loop);
        $solution = $solver->solve($start) ??
            $this->exchanging($loop) ??
            $this->led($loop, $solver) ??
            $this->filled($loop);

        return $solution === null ? $this->standing($this->whyNot()) : $this->at($loop, $solution);
    }

    /**
     * States of plants that differ a little from one whose state is known: followed with one Jacobian, as closely as a
     * deviation needs.
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
            $solution = $state->solution === null ? null : $solver->follow($state->solution, null, self::NEARLY);
            $states[] = $solution === null ? $self->find($state->solution) : $self->at($loop, $solution);
        }

        return $states;
    }

    /**
     * The state at the box temperature where the plant just removes a load.
     *
     * @param  float  $load  W
     */
    public static function atLoad(Machine $machine, float $ambient, float $load, float $atmosphere): PlantState
    {
        $at = static fn (float $box): self => new self(
            $machine,
            new Surroundings($ambient, $box, atmosphere: $atmosphere),
        );
        $low = $machine->design->box - self::COLDER_BOX;
        $high = $machine->design->box + self::WARMER_BOX;
        $state = $at($machine->design->box)->find();
        for ($round = 0; $round < self::HALVINGS; $round++) {
            $box = ($low + $high) / 2;
            $state = $at($box)->find($state->solution);
            if ($state->cooling < $load) {
                $low = $box;
            } else {
                $high = $box;
            }
        }

        return $state;
    }

    /**
     * Where no start leads there at once: from the design's weather and box to these, step by step.
     *
     * @return ?array{float, float, float, float, float}
     */
    private function led(Loop $loop, Solver $solver): ?array
    {
        $design = $this->machine->design;
        $solution = null;
        for ($part = 0; $part <= self::LEADING; $part++) {
            $share = $part / self::LEADING;
            $loop->meet(
                new Surroundings(
                    $design->ambient + ($this->around->ambient - $design->ambient) * $share,
                    $design->box + ($this->around->box - $design->box) * $share,
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
     * Where a heat exchanger between suction and liquid leads astray: from the plant without it, step by step.
     *
     * @return ?array{float, float, float, float, float}
     */
    private function exchanging(Loop $loop): ?array
    {
        if ($this->machine->exchanger <= 0.0) {
            return null;
        }
        $solution = null;
        for ($part = 0; $part <= self::EXCHANGING; $part++) {
            $machine = $this->machine->with(exchanger: ($this->machine->exchanger * $part) / self::EXCHANGING);
            $loop->meet($this->around, $machine);
            $solver = new Solver($machine, $loop);
            $solution = $solution === null ? $solver->solve() : $solver->near($solution);
            if ($solution === null) {
                break;
            }
        }
        $loop->meet($this->around, $this->machine);

        return $solution;
    }

    /**
     * A state outside the refrigerant's table is none: the plant stands still.
     *
     * @param  ?array{float, float, float, float, float}  $start
     */
    public function findOrStand(?array $start = null): PlantState
    {
        try {
            return $this->find($start);
        } catch (OutsideTable) {
            return $this->standing(Standstill::OutsideTable);
        }
    }

    /**
     * Where the weather does not lead there either: from the charge of the plan to this one, step by step.
     *
     * @return ?array{float, float, float, float, float}
     */
    private function filled(Loop $loop): ?array
    {
        $design = $this->machine->design;
        $planned = $this->machine->hasReceiver() ? ($design->summerCharge + $design->full) / 2 : $design->full;
        $machine = $this->machine->with(charge: $planned);
        $loop->meet($this->around, $machine);
        $first = new Solver($machine, $loop);
        $solution = $first->solve() ?? $this->led($loop, $first);
        [$share, $step] = [0.0, 1 / self::FILLING];
        for ($tries = 0; $solution !== null && $share < 1.0; $tries++) {
            if ($tries > self::MOST_TRIES) {
                $solution = null;

                break;
            }
            $next = min(1.0, $share + $step);
            $machine = $this->machine->with(charge: $planned + ($this->machine->charge - $planned) * $next);
            $loop->meet($this->around, $machine);
            $found = (new Solver($machine, $loop, self::NEXT))->near($solution);
            if ($found !== null) {
                [$solution, $share] = [$found, $next];
            } elseif ($step > 1 / self::FINEST) {
                $step /= 2;
            } else {
                $solution = null;
            }
        }
        $loop->meet($this->around, $this->machine);

        return $solution;
    }

    /** @param  array{float, float, float, float, float}  $solution */
    private function at(Loop $loop, array $solution): PlantState
    {
        $misses = $loop->walk($solution);
        $stop = $this->stops($loop);

        return $stop === null ? (new Instruments($loop))->state($solution, $misses[4]) : $this->standing($stop);
    }

    /** No steady state: would a condenser that can give off anything help? Then it is the head that stops the plant. */
    private function whyNot(): Standstill
    {
        $design = $this->machine->design;
        if ($this->machine->charge > 1.02 * $design->full) {
            return Standstill::CondenserFull;
        }
        if ($this->machine->charge < 0.9 * ($design->summerCharge - $design->buffer)) {
            return Standstill::TooLittleRefrigerant;
        }
        $freed = $this->machine->with(condenser: $this->machine->condenser->scaled(8.0));
        $helps = (new Solver($freed, new Loop($freed, $this->around), 400))->solve() !== null;

        return $helps ? Standstill::HeatNotGivenOff : Standstill::Starved;
    }

    private function stops(Loop $loop): ?Standstill
    {
        $fluid = $this->machine->fluid;
        $design = $this->machine->design;
        $cutOut = self::LOW_CUT_OUT + $this->around->atmosphere;
        $cold = $fluid->dewTemperature(max($cutOut, $fluid->dewPressure($fluid->saturation->lowest)));
        $meant = $fluid->dewTemperature($design->evaporating) - self::COLDER_THAN_MEANT;
        $hottest = $fluid->dewTemperature($design->condensing) + self::WARMER_THAN_MEANT;

        return match (true) {
            $this->machine->groupSuction === null && $loop->suction->dew < min($cold, $meant) => Standstill::Starved,
            $loop->condensing->dew > max(self::HIGH_CUT_OUT, $hottest) => Standstill::HeatNotGivenOff,
            default => null,
        };
    }

    private function standing(Standstill $why): PlantState
    {
        return PlantState::standing($this->machine, $this->around, $why);
    }
}
