<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Installation\HeadPressureControl;
use Metrum\Knowledge\Cause;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\State;
use Metrum\Quantity\Celsius;
use Metrum\Twin\Ailment;
use Metrum\Twin\Dice;
use Metrum\Twin\Filling;
use Metrum\Twin\Machine;
use Metrum\Twin\PlantState;
use Metrum\Twin\Surroundings;

/** In which weather, with how warm a box and in which state a plant is met. */
final readonly class Circumstances
{
    /** °C above which nothing needs to hold the head. */
    private const HOLDS_ITSELF = 16.0;

    /** K by which a burdened box is warm at most. */
    private const LOADED = 9.0;

    /** Share of its cooling that a plant gains for each kelvin of a warmer box. */
    private const MORE_PER_KELVIN = 0.045;

    /** Share of the cooling that is left at least, and K that a box rises at most. */
    private const LEAST_LEFT = 0.1;

    private const WARMEST = 16.0;

    /** Share of visits whose state is not said. */
    private const NOT_SAID = 0.14;

    public function __construct(private Dice $dice)
    {
    }

    /** @param  list<array{Fault, ?Cause, float}>  $ills */
    public function weather(Machine $machine, array $ills): Surroundings
    {
        $coldest = ($machine->circuit->design->coldestAmbient ?? Filling::USUAL_COLDEST) - Celsius::ZERO;
        $celsius = match (true) {
            ! Patients::isOutdoor($machine) => $this->dice->between(15.0, 38.0),
            self::showsInTheCold($ills) => $this->dice->between(max(-20.0, $coldest - 2.0), 8.0),
            // In the cold it would have a head that is too low besides.
            $machine->head->kind === HeadPressureControl::None => $this->dice->between(self::HOLDS_ITSELF, 43.0),
            $this->dice->chance(0.5) => $this->dice->between(-20.0, 43.0),
            default => $this->dice->between(12.0, 36.0),
        };
        $burden = 0.0;
        foreach ($ills as [$fault, , $severity]) {
            $burden +=
                $fault === Fault::ExcessLoad ? self::LOADED * $severity * $this->dice->between(0.3, 1.2) : 0.0;
        }
        $warm =
            $burden +
            match (true) {
                $this->dice->chance(0.07) => $this->dice->between(4.0, 15.0),
                $this->dice->chance(0.2) => $this->dice->between(1.0, 4.0),
                default => $this->dice->around(0.0, 0.8),
            };
        $hottest = min(43.0, Surroundings::hottest($machine->fluid) - Celsius::ZERO);

        return new Surroundings(
            Celsius::ZERO + min($hottest, $celsius),
            $machine->design->box + max(-4.0, min(22.0, $warm)),
            atmosphere: $machine->circuit->atmosphere->pascal,
        );
    }

    /** @param  list<array{Fault, ?Cause, float}>  $ills */
    private static function showsInTheCold(array $ills): bool
    {
        foreach ($ills as [$fault]) {
            if (Ailment::of($fault)->inTheCold) {
                return true;
            }
        }

        return false;
    }

    /**
     * K by which the box has warmed because the plant no longer carries its load: it rises until less difference to the
     * warmer box makes up for what was lost, and is met somewhere on the way there.
     */
    public function rise(PlantState $sound, PlantState $sick): float
    {
        $left = $sick->runs() ? $sick->cooling / $sound->cooling : 0.0;
        $load = $this->dice->between(0.55, 0.95);
        $there = $left >= $load ? 0.0 : ($load / max(self::LEAST_LEFT, $left) - 1) / self::MORE_PER_KELVIN;

        return min(self::WARMEST, $there) * $this->dice->between(0.35, 1.0);
    }

    /**
     * Who reads something off a plant that stands says that it stands. Where nothing was read, the state is left open
     * as seldom as at a plant that runs: otherwise nothing read yet would speak for what makes a plant stand.
     *
     * @param  bool  $read  whether anything was read
     */
    public function state(PlantState $state, Surroundings $around, Machine $machine, bool $read): ?State
    {
        if (! $state->runs()) {
            return $read || ! $this->dice->chance(self::NOT_SAID) ? State::Off : null;
        }
        $far = $around->box - $machine->design->box > 5.0;

        return match (true) {
            $far && $this->dice->chance(0.4) => State::PullingDown,
            $this->dice->chance(self::NOT_SAID) => null,
            $this->dice->chance(0.02) => State::AfterDefrost,
            default => State::RunningSettled,
        };
    }
}
