<?php

declare(strict_types=1);

namespace Metrum\Twin;

/**
 * The two pressures of a plant in time: drawn to the loop's while it runs, to each other and the air while it stands.
 */
final class PressuresInTime
{
    private float $suction;

    private float $discharge;

    /**
     * @param  float  $ambient  K
     * @param  float  $box  K
     */
    public function __construct(
        private readonly Machine $machine,
        private readonly Controls $controls,
        private readonly float $ambient,
        float $box,
    ) {
        $this->suction = $machine->fluid->dewPressure($box);
        $this->discharge = $machine->fluid->bubblePressure($ambient);
    }

    /** @return float Pa absolute */
    public function suction(): float
    {
        return $this->suction;
    }

    /** @return float Pa absolute */
    public function discharge(): float
    {
        return $this->discharge;
    }

    /** To the loop's within half a minute of a start. */
    public function follow(Loop $loop, float $step): void
    {
        $near = 1 - exp(-$step / 12.0);
        $this->suction += ($loop->suction->pressure - $this->suction) * $near;
        $this->discharge += ($loop->condensing->pressure + $this->machine->inert - $this->discharge) * $near;
    }

    /** The loop has no answer: the suction falls to the air's pressure. */
    public function runAway(float $step): void
    {
        $this->suction += ($this->air() - $this->suction) * min(1.0, $step / 20);
    }

    /** Liquid shut off: the suction runs down as the coil empties; a worn machine stops half way. */
    public function pumpDown(float $step): void
    {
        $wear = $this->machine->compressor->wear;
        $worn = 1 - 0.75 * $wear;
        $floor = $this->air() * (0.5 + 2.5 * $wear);
        $this->suction += ($floor - $this->suction) * (1 - exp((-$step * $worn) / 35.0));
    }

    /**
     * Standing: the suction rises to what the coil's metal or the box allows, the discharge falls to the air's.
     *
     * @param  float  $coldest  K: coil metal in a defrost, the box's air otherwise
     */
    public function stand(float $step, float $coldest, bool $filling): void
    {
        $fluid = $this->machine->fluid;
        $saturated = max($fluid->saturation->lowest + 1, min(310.0, $coldest));
        $rest = min($this->discharge, $fluid->dewPressure($saturated));
        $leaks = $this->leaks() + ($filling ? 1 / 12.0 : 0.0);
        $this->suction += ($rest - $this->suction) * (1 - exp(-$step * $leaks));
        $this->discharge +=
            ($fluid->bubblePressure($this->ambient) + $this->machine->inert - $this->discharge) *
            (1 - exp(-$step / 240.0));
    }

    /** 1/s: how fast the standing sides even out, through worn valves, the open liquid line, the hot gas valve. */
    private function leaks(): float
    {
        return $this->machine->compressor->wear / 60.0 +
            ($this->controls->pumpsDown ? 1 / 2400.0 : 1 / 150.0) +
            ($this->machine->hotGas > 0 ? 1 / 200.0 : 0.0);
    }

    private function air(): float
    {
        return $this->machine->circuit->atmosphere->pascal;
    }
}
