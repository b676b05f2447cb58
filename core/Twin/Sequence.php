<?php

declare(strict_types=1);

namespace Metrum\Twin;

/** What the controls of a plant in time have it do: they look at box, coil and pressures, and switch. */
final class Sequence
{
    private const DAY = 86400.0;

    /** s after a start in which a low suction does not stop the plant. */
    private const START = 20.0;

    /** Share of the saturation at box air from which the low-pressure control closes at the latest. */
    private const CLOSES = 0.97;

    public Mode $mode = Mode::Off;

    /** s in this mode. */
    public float $inMode = 1e6;

    /** Whether the thermostat calls. */
    public bool $calls = false;

    public bool $fans = true;

    public ?Trip $tripped = null;

    /** s since the start at which the next defrost begins. */
    private float $nextDefrost;

    public function __construct(private readonly Machine $machine, private readonly Controls $controls)
    {
        $this->nextDefrost = $controls->defrosts > 0 ? self::DAY / $controls->defrosts : INF;
    }

    /** Starts a defrost, as a hand at the clock would. @param  float  $time  s since the start */
    public function defrostAt(float $time): void
    {
        $this->nextDefrost = $time;
    }

    /**
     * @param  float  $time  s since the start
     * @param  float  $suction  Pa abs
     * @param  float  $discharge  Pa abs
     */
    public function decide(float $time, BoxInTime $box, float $suction, float $discharge): void
    {
        $this->feel($box->air - $this->controls->sensorError);
        if ($this->isDefrostDue($time)) {
            $this->nextDefrost += self::DAY / $this->controls->defrosts;
            $this->enter(Mode::Defrosting);
            $this->fans = false;

            return;
        }
        $next = match ($this->mode) {
            Mode::Defrosting => $this->whileDefrosting($box),
            Mode::Dripping => $this->inMode >= $this->controls->drip ? Mode::Off : null,
            Mode::Running => $this->whileRunning($suction, $discharge),
            Mode::PumpingDown => $this->whilePumpingDown($suction),
            Mode::Off => $this->whileOff($box, $suction),
        };
        if ($next !== null) {
            $this->enter($next);
        }
    }

    public function enter(Mode $mode): void
    {
        $this->mode = $mode;
        $this->inMode = 0.0;
        if ($mode === Mode::Running) {
            $this->tripped = null;
            $this->fans = $this->fans || $this->controls->fanDelay === null;
        }
    }

    /** The fans start once the coil is cold enough. @param  float  $coil  K of its metal */
    public function startFans(float $coil): void
    {
        if ($this->controls->fanDelay === null || $coil <= $this->controls->fanDelay) {
            $this->fans = true;
        }
    }

    private function feel(float $air): void
    {
        if ($air > $this->controls->setPoint + $this->controls->differential) {
            $this->calls = true;
        } elseif ($air < $this->controls->setPoint) {
            $this->calls = false;
        }
    }

    private function isDefrostDue(float $time): bool
    {
        return $time >= $this->nextDefrost && $this->controls->defrosts > 0 && $this->mode !== Mode::Defrosting;
    }

    private function whileDefrosting(BoxInTime $box): ?Mode
    {
        return $box->metal >= $this->controls->terminate || $this->inMode >= $this->controls->longest
            ? Mode::Dripping
            : null;
    }

    private function whileRunning(float $suction, float $discharge): ?Mode
    {
        if (! $this->calls) {
            return $this->controls->pumpsDown ? Mode::PumpingDown : Mode::Off;
        }
        $own = $this->machine->groupSuction === null;
        if ($own && $this->inMode > self::START && $suction <= $this->controls->cutOut) {
            $this->tripped = Trip::LowPressure;

            return Mode::Off;
        }
        if ($discharge >= $this->controls->highCutOut) {
            $this->tripped = Trip::HighPressure;

            return Mode::Off;
        }

        return null;
    }

    private function whilePumpingDown(float $suction): ?Mode
    {
        return match (true) {
            $this->calls => Mode::Running,
            $suction <= $this->controls->cutOut => Mode::Off,
            default => null,
        };
    }

    private function whileOff(BoxInTime $box, float $suction): ?Mode
    {
        $warmest = min($box->air, $this->machine->design->box + 10);
        $closes = min($this->controls->cutIn, self::CLOSES * $this->machine->fluid->dewPressure($warmest));

        return $this->calls && $this->inMode >= $this->controls->leastOff && $suction >= $closes
            ? Mode::Running
            : null;
    }
}
