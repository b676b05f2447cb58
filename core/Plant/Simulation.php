<?php

declare(strict_types=1);

namespace Metrum\Plant;

use Metrum\Circuit\DefrostKind;
use Metrum\Circuit\Fault;
use Metrum\Circuit\Metering;
use Metrum\Circuit\Reading;

/**
 * A plant in time. Box, product, walls, frost, coil metal, valve bulb, standing pressures and controls move step by step;
 * the refrigerant follows at once with its inventory (quasi-steady), since its own transients pass within seconds.
 *
 * The bulb feels the coil's outlet late (dead time of the coil, lag of outlet and bulb): with too steep a valve or too slow a
 * bulb the loop swings by itself.
 */
final class Simulation
{
    /** s; a step up to here carries the valve's own movement. */
    private const FINE = 4.0;

    private readonly BoxInTime $box;

    private readonly Bulb $bulb;

    private float $time = 0.0;

    private string $mode = 'off';

    private float $inMode = 1e6;

    private bool $calls = false;

    private bool $fans = true;

    private ?string $tripped = null;

    private float $again = 0.0;

    private float $wait = 15.0;

    private float $suction;

    private float $discharge;

    private float $cooling = 0.0;

    private float $opening = 0.5;

    private float $share = 1.0;

    private float $nextDefrost;

    /** @var ?array{float, float, float, float, float} */
    private ?array $solution = null;

    private Loop $loop;

    private Solver $solver;

    private Machine $frosted;

    private function __construct(
        private readonly Machine $machine,
        Room $room,
        private readonly Controls $controls,
        private readonly float $ambient,
        float $box,
    ) {
        $this->box = new BoxInTime($machine, $room, $controls, $ambient, $box);
        $this->bulb = new Bulb($machine->feed);
        $this->suction = $this->machine->fluid->dewPressure($box);
        $this->discharge = $this->machine->fluid->bubblePressure($ambient);
        $this->nextDefrost = $controls->defrosts > 0 ? 86400.0 / $controls->defrosts : INF;
        $this->frosted = $machine;
        $this->loop = new Loop($machine, $this->around());
        $this->solver = new Solver($machine, $this->loop, 300);
    }

    /**
     * @param  list<array{Fault, float}>  $faults  with their severity
     * @param  float  $ambient  K
     * @param  float  $box  K at the start, air, product and walls
     */
    public static function of(
        Machine $machine,
        float $ambient,
        float $box,
        array $faults = [],
        ?Room $room = null,
    ): self {
        $room ??= Room::for($machine);
        $controls = Controls::for($machine);
        $sick = $machine;
        foreach ($faults as [$fault, $severity]) {
            $sick = Disorder::in($sick, $fault, $severity);
            $controls = $controls->with($fault, $severity, $machine);
            $room = $fault === Fault::ExcessLoad ? $room->burdened($severity) : $room;
        }

        return new self($sick, $room, $controls, $ambient, $box);
    }

    /** A coil already frosted, kg. */
    public function withFrost(float $kilograms): self
    {
        $this->box->frost = $kilograms;

        return $this;
    }

    /** The door stands open for so many seconds from now. */
    public function openDoor(float $seconds): void
    {
        $this->box->openDoor($seconds);
    }

    /** Starts a defrost now, as a hand at the clock would. */
    public function defrost(): void
    {
        $this->nextDefrost = $this->time;
    }

    /** @param  float  $step  s, 1 … 60 */
    public function advance(float $step): void
    {
        $this->control();
        match ($this->mode) {
            'running' => $this->run($step),
            'pumping_down' => $this->pumpDown($step),
            default => $this->stand($step),
        };
        if ($this->mode === 'defrosting') {
            $this->box->heat($step);
        }
        $this->box->warm($step, $this->cooling, $this->loop->dew);
        $this->time += $step;
        $this->inMode += $step;
    }

    private function control(): void
    {
        $felt = $this->box->air - $this->controls->sensorError;
        if ($felt > $this->controls->setPoint + $this->controls->differential) {
            $this->calls = true;
        } elseif ($felt < $this->controls->setPoint) {
            $this->calls = false;
        }
        if (
            $this->time >= $this->nextDefrost &&
            $this->controls->defrosts > 0 &&
            $this->mode !== 'defrosting'
        ) {
            $this->nextDefrost += 86400.0 / $this->controls->defrosts;
            $this->enter('defrosting');
            $this->fans = false;

            return;
        }
        match ($this->mode) {
            'defrosting' => $this->box->metal >= $this->controls->terminate ||
            $this->inMode >= $this->controls->longest
                ? $this->enter('dripping')
                : null,
            'dripping' => $this->inMode >= $this->controls->drip ? $this->enter('off') : null,
            'running' => $this->runningControl(),
            'pumping_down' => $this->calls
                ? $this->enter('running')
                : ($this->suction <= $this->controls->cutOut
                    ? $this->enter('off')
                    : null),
            default => $this->calls &&
            $this->inMode >= $this->controls->leastOff &&
            $this->suction >=
                min(
                    $this->controls->cutIn,
                    0.97 *
                        $this->machine->fluid->dewPressure(
                            min($this->box->air, $this->machine->design->box + 10),
                        ),
                )
                ? $this->enter('running')
                : null,
        };
    }

    private function runningControl(): void
    {
        if (! $this->calls) {
            $this->enter($this->controls->pumpsDown ? 'pumping_down' : 'off');
        } elseif (
            $this->inMode > 20 &&
            $this->machine->groupSuction === null &&
            $this->suction <= $this->controls->cutOut
        ) {
            $this->tripped = 'low pressure';
            $this->enter('off');
        } elseif ($this->discharge >= $this->controls->highCutOut) {
            $this->tripped = 'high pressure';
            $this->enter('off');
        }
    }

    private function enter(string $mode): void
    {
        $this->mode = $mode;
        $this->inMode = 0.0;
        if ($mode === 'running') {
            $this->tripped = null;
            $this->fans = $this->fans || $this->controls->fanDelay === null;
        }
    }

    private function run(float $step): void
    {
        $this->shareOfAir();
        $this->loop->meet($this->around(), $this->frosted);
        // In steps coarser than the bulb's own time the valve stands where it comes to rest.
        $given =
            $step > self::FINE || $this->machine->feed->kind === Metering::Capillary ? null : $this->opening;
        $this->solution = $this->found($given);
        if ($this->solution === null) {
            $this->cooling = 0.0;
            $this->suction +=
                ($this->machine->circuit->atmosphere->pascal - $this->suction) * min(1.0, $step / 20);

            return;
        }
        // Pressures come to the loop's within half a minute of a start.
        $near = 1 - exp(-$step / 12.0);
        $this->suction += ($this->loop->suctionPressure - $this->suction) * $near;
        $this->discharge +=
            ($this->loop->condensingPressure + $this->machine->inert - $this->discharge) * $near;
        $this->cooling = $this->loop->coilHeat * min(1.0, ($this->inMode + $step) / 30.0);
        $this->box->metal += ($this->loop->dew - $this->box->metal) * (1 - exp(-$step / 60.0));
        if (
            ! $this->fans &&
            ($this->controls->fanDelay === null || $this->box->metal <= $this->controls->fanDelay)
        ) {
            $this->fans = true;
        }
        $this->opening =
            $given === null
                ? $this->bulb->settle($this->loop->superheat, $this->loop->opening)
                : $this->bulb->feel($step, $this->loop->superheat, $this->loop->outletQuality);
    }

    /**
     * The loop's solution from where it stood; where there is none (the suction runs away), it is looked for again after a wait that doubles.
     *
     * @return ?array{float, float, float, float, float}
     */
    private function found(?float $given): ?array
    {
        if ($this->solution !== null) {
            $followed = $this->solver->follow($this->solution, $given);
            if ($followed !== null) {
                return $followed;
            }
        } elseif ($this->time < $this->again) {
            return null;
        }
        $found = $this->solver->solve(null, $given);
        $this->wait = $found === null ? min(1800.0, 2 * $this->wait) : 15.0;
        $this->again = $this->time + ($found === null ? $this->wait : 0.0);

        return $found;
    }

    /** Liquid shut off: the suction runs down as the coil empties. */
    private function pumpDown(float $step): void
    {
        $this->shareOfAir();
        $worn = 1 - 0.75 * $this->machine->compressor->wear;
        $floor = $this->machine->circuit->atmosphere->pascal * (0.5 + 2.5 * $this->machine->compressor->wear);
        $this->suction += ($floor - $this->suction) * (1 - exp((-$step * $worn) / 35.0));
        $this->cooling = max(0.0, $this->machine->design->cooling * 0.4 * exp(-$this->inMode / 30.0));
        if ($this->inMode > 600) {
            // A worn machine never gets there; somebody or something stops it.
            $this->enter('off');
        }
    }

    private function stand(float $step): void
    {
        $this->cooling = 0.0;
        $fluid = $this->machine->fluid;
        $rest = min(
            $this->discharge,
            $fluid->dewPressure(
                max(
                    $fluid->saturation->lowest + 1,
                    min(310.0, $this->mode === 'defrosting' ? $this->box->metal : $this->box->air),
                ),
            ),
        );
        $leaks =
            $this->machine->compressor->wear / 60.0 +
            ($this->controls->pumpsDown ? 1 / 2400.0 : 1 / 150.0) +
            ($this->machine->hotGas > 0 ? 1 / 200.0 : 0.0);
        // A pump-down plant that is called opens its solenoid: the coil fills and the low-pressure control closes.
        $filling =
            $this->controls->pumpsDown && $this->calls && $this->mode === 'off' && $this->machine->solenoidOpen
                ? 1 / 12.0
                : 0.0;
        $this->suction += ($rest - $this->suction) * (1 - exp(-$step * ($leaks + $filling)));
        $this->discharge +=
            ($fluid->bubblePressure($this->ambient) + $this->machine->inert - $this->discharge) *
            (1 - exp(-$step / 240.0));
        $this->opening = $this->bulb->rest($step);
        $this->solution = null;
        if ($this->mode === 'off') {
            $this->box->metal += ($this->box->air - $this->box->metal) * (1 - exp(-$step / 200.0));
            $this->box->meltInAir($step, $this->fans);
        }
    }

    /** Frost and resting fans take air; the loop's parts are made anew when it shows. */
    private function shareOfAir(): void
    {
        $open = $this->fans ? $this->box->openShare() : 0.05;
        if (abs($open - $this->share) > 0.01) {
            $this->share = $open;
            $this->frosted = $this->machine->with(
                coil: $this->machine->coil->with($open, $this->box->transferShare()),
            );
        }
    }

    private function around(): Surroundings
    {
        return new Surroundings(
            $this->ambient,
            $this->box->air,
            atmosphere: $this->machine->circuit->atmosphere->pascal,
        );
    }

    public function now(): Moment
    {
        $atmosphere = $this->machine->circuit->atmosphere->pascal;
        $readings = [
            Reading::SuctionPressure->value => $this->suction - $atmosphere,
            Reading::DischargePressure->value => $this->discharge - $atmosphere,
            Reading::AmbientTemperature->value => $this->ambient,
            Reading::BoxTemperature->value => $this->box->air,
            Reading::CompressorCurrent->value => 0.0,
        ];
        $power = 0.0;
        if ($this->mode === 'running' && $this->solution !== null) {
            $state = (new SteadyState($this->frosted, $this->around()))->running(
                $this->loop,
                $this->solution,
                0.0,
            );
            $readings = [
                ...$state->readings,
                ...array_diff_key($readings, [Reading::CompressorCurrent->value => 0]),
            ];
            $power = $state->power;
            // The clamp at the bulb shows what has arrived there.
            $readings[Reading::SuctionTemperatureEvaporator->value] =
                $this->loop->dew +
                max(-$this->machine->fluid->glide($this->loop->coilPressure), $this->bulb->felt);
        }
        if ($this->controls->defrost !== DefrostKind::None) {
            $readings[Reading::FanDelaySensor->value] = $this->box->metal;
        }

        return new Moment(
            $this->time,
            $this->mode,
            $this->calls,
            $this->fans,
            $this->tripped,
            $readings,
            $this->box->frost,
            $this->share,
            $this->opening,
            $this->cooling,
            $power,
            $this->box->product,
        );
    }
}
