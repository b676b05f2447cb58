<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Diagnosis\Grade;
use Metrum\Knowledge\Cause;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Reading;
use Metrum\Twin\Ailment;
use Metrum\Twin\Dice;
use Metrum\Twin\Disorder;
use Metrum\Twin\Machine;
use Metrum\Twin\PlantState;
use Metrum\Twin\SteadyState;
use Metrum\Twin\Surroundings;

/**
 * How far what is wrong has gone: as often mild as moderate as severe, by what it costs. How far a valve is shut or how
 * much is missing says little of that: a receiver hides a shortage, a rack hides a worn compressor.
 */
final readonly class Extent
{
    /** Severity from which others are tried. */
    private const BEGINNING = 0.06;

    /** Share of the capacity, lost or paid for in head, below which nobody notices. */
    private const NOTICED = 0.03;

    /** Severities that are tried for a grade; the last is taken as it is. */
    private const TRIES = 4;

    public function __construct(private Dice $dice, private Machine $built)
    {
    }

    /**
     * The first of what is wrong gone so far that it costs what its grade costs.
     *
     * @param  non-empty-list<array{Fault, ?Cause, float}>  $ills
     * @return non-empty-list<array{Fault, ?Cause, float}>
     */
    public function drawn(array $ills, Surroundings $around, PlantState $sound): array
    {
        // What costs no capacity and no head, or only in some weather, has gone as far as it was drawn.
        if (! Ailment::of($ills[0][0])->costs) {
            return $ills;
        }
        $grade = $this->dice->one(Grade::cases());
        [$low, $high] = [self::BEGINNING, 1.0];
        $ills[0][2] = $this->dice->between($low, $high);
        for ($try = 1; $try < self::TRIES; $try++) {
            $cost = $this->cost($sound, (new SteadyState($this->sick([$ills[0]]), $around))->find($sound->solution));
            if ($cost >= self::NOTICED && Grade::ofEffect($cost) === $grade) {
                break;
            }
            if ($cost < self::NOTICED || $cost < $grade->least()) {
                $low = $ills[0][2];
            } else {
                $high = $ills[0][2];
            }
            $ills[0][2] = $this->dice->between($low, $high);
        }

        return $ills;
    }

    /** @param  list<array{Fault, ?Cause, float}>  $ills */
    public function sick(array $ills): Machine
    {
        $sick = $this->built;
        foreach ($ills as [$fault, $cause, $severity]) {
            $sick = Disorder::in($sick, $fault, $severity, $cause);
        }

        return $sick;
    }

    public function grade(PlantState $sound, PlantState $state): Grade
    {
        return Grade::ofEffect($this->cost($sound, $state));
    }

    /** Share of the capacity; 1 of a plant that stands. */
    private function cost(PlantState $sound, PlantState $state): float
    {
        if (! $state->runs()) {
            return 1.0;
        }
        $condensing = fn (PlantState $of): float => $this->built->fluid->bubbleTemperature(
            max(1e5, $this->built->circuit->atmosphere->absolute($of->reading(Reading::DischargePressure) ?? 0.0)),
        );

        return Grade::effect(1 - $state->cooling / $sound->cooling, $condensing($state) - $condensing($sound));
    }
}
