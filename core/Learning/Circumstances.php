<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Circuit\Cause;
use Metrum\Circuit\Fault;
use Metrum\Circuit\State;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Plant\Dice;
use Metrum\Plant\Machine;
use Metrum\Plant\PlantState;
use Metrum\Plant\Surroundings;

/** In which weather, with how warm a box and in which state a plant is met. */
final readonly class Circumstances
{
    /** Faults that need the cold to show. */
    private const IN_THE_COLD = [Fault::WinterUndercharge, Fault::HeadPressureLow];

    public function __construct(private Dice $dice)
    {
    }

    /** @param  list<array{Fault, ?Cause, float}>  $ills */
    public function weather(Machine $machine, array $ills): Surroundings
    {
        $faults = array_column($ills, 0);
        $coldest = ($machine->circuit->design->coldestAmbient ?? 263.15) - 273.15;
        $celsius = match (true) {
            ! Patients::isOutdoor($machine) => $this->dice->between(15.0, 38.0),
            array_intersect(array_column($faults, 'value'), array_column(self::IN_THE_COLD, 'value')) !== [] => $this->dice->between(max(-20.0, $coldest - 2.0), 8.0),
            $this->dice->chance(0.5) => $this->dice->between(-20.0, 43.0),
            default => $this->dice->between(12.0, 36.0),
        };
        $warm = 0.0;
        foreach ($ills as [$fault, , $severity]) {
            $shift = FaultCatalogue::entry($fault)->signs['box']->mean ?? 0.0;
            $warm += $shift * $severity ** 2 * $this->dice->between(0.0, 1.8);
        }
        $warm += match (true) {
            $this->dice->chance(0.07) => $this->dice->between(4.0, 15.0),
            $this->dice->chance(0.2) => $this->dice->between(1.0, 4.0),
            default => $this->dice->around(0.0, 0.8),
        };
        $hottest = min(43.0, Surroundings::hottest($machine->fluid) - 273.15);

        return new Surroundings(
            273.15 + min($hottest, $celsius),
            $machine->design->box + max(-4.0, min(22.0, $warm)),
            atmosphere: $machine->circuit->atmosphere->pascal,
        );
    }

    public function state(PlantState $state, Surroundings $around, Machine $machine): ?State
    {
        if (! $state->runs()) {
            return $this->dice->chance(0.7) ? State::Off : null;
        }
        $far = $around->box - $machine->design->box > 5.0;

        return match (true) {
            $far && $this->dice->chance(0.4) => State::PullingDown,
            $this->dice->chance(0.14) => null,
            $this->dice->chance(0.02) => State::AfterDefrost,
            default => State::RunningSettled,
        };
    }
}
