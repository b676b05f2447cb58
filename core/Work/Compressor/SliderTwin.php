<?php

declare(strict_types=1);

namespace Metrum\Work\Compressor;

use Metrum\Knowledge\Reading;
use Metrum\Twin\Feed;
use Metrum\Twin\Machine;
use Metrum\Twin\PlantState;
use Metrum\Twin\Scenario;
use Metrum\Twin\SteadyState;
use Metrum\Twin\Surroundings;

/** A simulated plant on which dirt, air, superheat, line gain and head are tried for what they do to its compressor. */
final class SliderTwin
{
    /** Tries for a head, and K within which it is met. */
    private const TRIES = 5;

    private const MET = 0.2;

    /** @param  Machine  $machine  as it stands, with what is wrong with it */
    public function __construct(
        private readonly Machine $machine,
        private readonly Surroundings $around,
        private readonly PlantState $now,
    ) {
    }

    /** As it stands; null where it does not run. */
    public function base(): ?SliderRun
    {
        return $this->run($this->now);
    }

    /** As it would stand; null where it does not run so. */
    public function tried(Sliders $set): ?SliderRun
    {
        $base = $this->base();
        if ($base === null || $set->areAtRest()) {
            return $base;
        }
        $ambient = $this->around->ambient;
        $run = $this->run($this->at($set, $ambient));
        if ($set->head === 0.0 || $run === null) {
            return $run;
        }
        // Head is moved by the air that enters the condenser: what else is tried moves it too.
        $wanted = $run->condensing + $set->head;
        $step = $set->head;
        for ($try = 0; $try < self::TRIES; $try++) {
            $ambient += $step;
            $next = $this->run($this->at($set, $ambient));
            if ($next === null) {
                return null;
            }
            $moved = $next->condensing - $run->condensing;
            $run = $next;
            if (abs($wanted - $run->condensing) < self::MET || abs($moved) < 1e-3) {
                break;
            }
            $step = max(-15.0, min(15.0, ($wanted - $run->condensing) * $step / $moved));
        }

        return $run;
    }

    private function run(PlantState $state): ?SliderRun
    {
        return SliderRun::of($state, $this->machine->fluid, $this->around->atmosphere);
    }

    private function at(Sliders $set, float $ambient): PlantState
    {
        $scenario = new Scenario(
            $this->machine,
            $ambient,
            $this->around->box,
            returnGain: $set->gain === 0.0 ? $this->around->returnGain : $this->gain() + $set->gain,
            valveTurns: $set->superheat / Feed::KELVIN_PER_TURN,
            coilDirt: $set->air,
            condenserDirt: $set->dirt,
        );

        return (new SteadyState($scenario->machine(), $scenario->surroundings()))->find($this->now->solution);
    }

    /** K that the suction line takes up as it stands. */
    private function gain(): float
    {
        $at = $this->now->readings;
        $coil = $at[Reading::SuctionTemperatureEvaporator->value] ?? null;
        $compressor = $at[Reading::SuctionTemperatureCompressor->value] ?? null;

        return $coil === null || $compressor === null ? 0.0 : max(0.0, $compressor - $coil);
    }
}
