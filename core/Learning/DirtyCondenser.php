<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Knowledge\Cause;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Celsius;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Twin\Disorder;
use Metrum\Twin\Machine;
use Metrum\Twin\PlantState;
use Metrum\Twin\SteadyState;
use Metrum\Twin\Surroundings;

/** A plant whose condenser is dirty by so many kelvins of split. */
final class DirtyCondenser
{
    /** K of ambient at which nothing holds the head. */
    private const WARM = Celsius::ZERO + 32.0;

    private const HALVINGS = 9;

    /**
     * @param  float  $higher  K by which dirt has raised the split on a warm day; 0: clean
     *
     * @throws OutsideTable
     */
    public static function of(Machine $built, float $higher): Machine
    {
        if ($higher <= 0.0) {
            return $built;
        }
        $ambient = min(self::WARM, Surroundings::hottest($built->fluid));
        $warm = new Surroundings($ambient, $built->design->box, atmosphere: $built->circuit->atmosphere->pascal);
        $sound = (new SteadyState($built, $warm))->find();
        [$low, $high] = [0.0, 1.0];
        for ($halving = 0; $halving < self::HALVINGS; $halving++) {
            $middle = ($low + $high) / 2.0;
            $state = (new SteadyState(self::by($built, $middle), $warm))->find($sound->solution);
            $isMore = ! $state->runs() || self::condensing($built, $state) - self::condensing($built, $sound) > $higher;
            [$low, $high] = $isMore ? [$low, $middle] : [$middle, $high];
        }

        return self::by($built, $low);
    }

    private static function by(Machine $built, float $severity): Machine
    {
        return Disorder::in($built, Fault::CondenserAirflowLow, $severity, Cause::CondenserDirty);
    }

    private static function condensing(Machine $built, PlantState $state): float
    {
        $gauge = $state->reading(Reading::DischargePressure) ?? 0.0;

        return $built->fluid->bubbleTemperature($built->circuit->atmosphere->absolute($gauge));
    }
}
