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
    private const MELTING = 273.15;

    private const LATENT = 334e3;

    /** s from the valve to the coil's outlet. */
    private const DEAD_TIME = 3;

    private float $time = 0.0;

    private string $mode = 'off';

    private float $inMode = 1e6;

    private bool $calls = false;

    private bool $fans = true;

    private ?string $tripped = null;

    private float $air;

    private float $product;

    private float $walls;

    private float $frost = 0.0;

    private float $metal;

    private float $bulb = 6.0;

    private float $felt = 6.0;

    /** @var list<float> superheats on their way to the bulb, a second each */
    private array $onTheWay = [];

    private float $suction;

    private float $discharge;

    private float $doorOpen = 0.0;

    private float $cooling = 0.0;

    private float $opening = 0.5;

    private float $share = 1.0;

    private float $nextDefrost;

    private float $meltHeld = 0.0;

    /** @var ?array{float, float, float, float, float} */
    private ?array $solution = null;

    private Loop $loop;

    private Solver $solver;

    private Machine $frosted;

    private float $frostSeen = -1.0;

    private float $halving;

    private function __construct(private readonly Machine $machine, private readonly Room $room, private readonly Controls $controls, private readonly float $ambient, float $box)
    {
        $this->air = $this->product = $box;
        $this->walls = $box + 0.4 * max(0.0, $ambient - $box) * $room->outside / ($room->outside + $room->toWalls);
        $this->metal = $box;
        $this->suction = $this->machine->fluid->dewPressure($box);
        $this->discharge = $this->machine->fluid->bubblePressure($ambient);
        $this->nextDefrost = $controls->defrosts > 0 ? 86400.0 / $controls->defrosts : INF;
        $this->halving = 1.6 * $machine->design->cooling / 4e3;
        $this->frosted = $machine;
        $this->loop = new Loop($machine, $this->around());
        $this->solver = new Solver($machine, $this->loop);
    }

    /**
     * @param  list<array{Fault, float}>  $faults  with their severity
     * @param  float  $ambient  K
     * @param  float  $box  K at the start, air, product and walls
     */
    public static function of(Machine $machine, float $ambient, float $box, array $faults = [], ?Room $room = null): self
    {
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
        $this->frost = $kilograms;

        return $this;
    }

    /** The door stands open for so many seconds from now. */
    public function openDoor(float $seconds): void
    {
        $this->doorOpen = max($this->doorOpen, $seconds);
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
            $this->heat($step);
        }
        $this->warm($step);
        $this->time += $step;
        $this->inMode += $step;
        $this->doorOpen = max(0.0, $this->doorOpen - $step);
    }

    private function control(): void
    {
        $felt = $this->air - $this->controls->sensorError;
        if ($felt > $this->controls->setPoint + $this->controls->differential) {
            $this->calls = true;
        } elseif ($felt < $this->controls->setPoint) {
            $this->calls = false;
        }
        if ($this->time >= $this->nextDefrost && $this->controls->defrosts > 0 && $this->mode !== 'defrosting') {
            $this->nextDefrost += 86400.0 / $this->controls->defrosts;
            $this->enter('defrosting');
            $this->fans = false;

            return;
        }
        match ($this->mode) {
            'defrosting' => $this->metal >= $this->controls->terminate || $this->inMode >= $this->controls->longest ? $this->enter('dripping') : null,
            'dripping' => $this->inMode >= $this->controls->drip ? $this->enter('off') : null,
            'running' => $this->runningControl(),
            'pumping_down' => $this->calls ? $this->enter('running') : ($this->suction <= $this->controls->cutOut ? $this->enter('off') : null),
            default => $this->calls && $this->inMode >= $this->controls->leastOff && $this->suction >= min($this->controls->cutIn, 0.97 * $this->machine->fluid->dewPressure(min($this->air, $this->machine->design->box + 10))) ? $this->start() : null,
        };
    }

    private function runningControl(): void
    {
        if (! $this->calls) {
            $this->enter($this->controls->pumpsDown ? 'pumping_down' : 'off');
        } elseif ($this->inMode > 20 && $this->machine->groupSuction === null && $this->suction <= $this->controls->cutOut) {
            $this->tripped = 'low pressure';
            $this->enter('off');
        } elseif ($this->discharge >= $this->controls->highCutOut) {
            $this->tripped = 'high pressure';
            $this->enter('off');
        }
    }

    private function start(): void
    {
        $this->tripped = null;
        $this->enter('running');
    }

    private function enter(string $mode): void
    {
        $this->mode = $mode;
        $this->inMode = 0.0;
        if ($mode === 'running' && $this->controls->fanDelay === null) {
            $this->fans = true;
        }
    }

    private function run(float $step): void
    {
        $this->shareOfAir();
        $this->loop->meet($this->around(), $this->frosted);
        $given = $this->machine->feed->kind === Metering::Capillary ? null : $this->opening;
        $this->solution = $this->solution === null ? $this->solver->solve(null, $given) : $this->solver->follow($this->solution, $given) ?? $this->solver->solve(null, $given);
        if ($this->solution === null) {
            $this->cooling = 0.0;
            $this->suction += ($this->machine->circuit->atmosphere->pascal - $this->suction) * min(1.0, $step / 20);

            return;
        }
        // Pressures come to the loop's within half a minute of a start.
        $near = 1 - exp(-$step / 12.0);
        $this->suction += ($this->loop->suctionPressure - $this->suction) * $near;
        $this->discharge += ($this->loop->condensingPressure + $this->machine->inert - $this->discharge) * $near;
        $this->cooling = $this->loop->coilHeat * min(1.0, ($this->inMode + $step) / 30.0);
        $this->metal += ($this->loop->dew - $this->metal) * (1 - exp(-$step / 60.0));
        if (! $this->fans && ($this->controls->fanDelay === null || $this->metal <= $this->controls->fanDelay)) {
            $this->fans = true;
        }
        $this->feel($step);
    }

    /** What leaves the coil reaches the bulb late. */
    private function feel(float $step): void
    {
        $superheat = $this->loop->superheat - ($this->loop->superheat < 0.0 || $this->loop->outletQuality < 1.0 ? 25.0 * (1 - $this->loop->outletQuality) : 0.0);
        for ($second = 0; $second < (int) max(1, $step); $second++) {
            $this->onTheWay[] = $superheat;
        }
        $arrived = count($this->onTheWay) > self::DEAD_TIME ? $this->onTheWay[count($this->onTheWay) - 1 - self::DEAD_TIME] : $this->onTheWay[0];
        $this->onTheWay = array_slice($this->onTheWay, -self::DEAD_TIME - 1);
        $this->felt += ($arrived - $this->felt) * (1 - exp(-$step / 25.0));
        $this->bulb += ($this->felt - $this->bulb) * (1 - exp(-$step / $this->machine->feed->bulbLag));
        $this->opening = $this->machine->feed->opening($this->bulb);
    }

    /** Liquid shut off: the suction runs down as the coil empties. */
    private function pumpDown(float $step): void
    {
        $this->shareOfAir();
        $worn = 1 - 0.75 * $this->machine->compressor->wear;
        $floor = $this->machine->circuit->atmosphere->pascal * (0.5 + 2.5 * $this->machine->compressor->wear);
        $this->suction += ($floor - $this->suction) * (1 - exp(-$step * $worn / 35.0));
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
        $rest = min($this->discharge, $fluid->dewPressure(max($fluid->saturation->lowest + 1, min(310.0, $this->mode === 'defrosting' ? $this->metal : $this->air))));
        $leaks = $this->machine->compressor->wear / 60.0 + ($this->controls->pumpsDown ? 1 / 2400.0 : 1 / 150.0) + ($this->machine->hotGas > 0 ? 1 / 200.0 : 0.0);
        // A pump-down plant that is called opens its solenoid: the coil fills and the low-pressure control closes.
        $filling = $this->controls->pumpsDown && $this->calls && $this->mode === 'off' && $this->machine->solenoidOpen ? 1 / 12.0 : 0.0;
        $this->suction += ($rest - $this->suction) * (1 - exp(-$step * ($leaks + $filling)));
        $this->discharge += ($fluid->bubblePressure($this->ambient) + $this->machine->inert - $this->discharge) * (1 - exp(-$step / 240.0));
        $this->bulb += (4.0 - $this->bulb) * (1 - exp(-$step / 120.0));
        $this->felt = $this->bulb;
        $this->opening = max($this->machine->feed->least, min(0.4, $this->machine->feed->opening($this->bulb)));
        $this->onTheWay = [];
        $this->solution = null;
        if ($this->mode === 'off') {
            $this->metal += ($this->air - $this->metal) * (1 - exp(-$step / 200.0));
            $this->meltInAir($step);
        }
    }

    /** Off-cycle: air above freezing melts the coil through its fans. */
    private function meltInAir(float $step): void
    {
        if ($this->air > self::MELTING + 0.3 && $this->frost > 0.0) {
            $power = $this->machine->coil->transfer * 0.5 * ($this->fans ? 1.0 : 0.15) * ($this->air - self::MELTING) * min(1.0, $this->frost / 0.2);
            $melted = min($this->frost, $power * $step / self::LATENT);
            $this->frost -= $melted * (1 - $this->controls->refreezes);
            $this->air -= $melted * self::LATENT / $this->room->air;
        }
    }

    private function heat(float $step): void
    {
        $power = $this->controls->heater;
        $capacity = 9e3 * $this->machine->design->cooling / 1e3;
        $lost = 6.0 * $this->machine->design->cooling / 1e3 * ($this->metal - $this->air);
        if ($this->metal >= self::MELTING && $this->frost > 0.01) {
            $melted = min($this->frost, max(0.0, $power - $lost) * 0.8 * $step / self::LATENT);
            $this->frost -= $melted;
            $this->meltHeld += $melted * $this->controls->refreezes;
            $this->metal += 0.2 * max(0.0, $power - $lost) * $step / ($capacity + 2e3 * self::LATENT / 334e3 * $this->frost);
        } else {
            $this->metal += ($power - $lost) * $step / ($capacity + 2100 * $this->frost);
        }
        $this->air += 0.25 * $power * $step / ($this->room->air + 0.3 * $this->room->product);
    }

    /** Heat and moisture into the box, cold out of the coil. */
    private function warm(float $step): void
    {
        $room = $this->room;
        $leak = $room->leakage + ($this->doorOpen > 0.0 ? $room->doorOpen : 0.0);
        $load = $room->toWalls * ($this->walls - $this->air) + $room->toProduct * ($this->product - $this->air) + $leak * ($this->ambient - $this->air) + $room->inside;
        $this->product -= $room->toProduct * ($this->product - $this->air) * $step / $room->product;
        $this->walls += ($room->outside * ($this->ambient - $this->walls) - $room->toWalls * ($this->walls - $this->air)) * $step / $room->walls;
        $this->air += ($load - 0.9 * $this->cooling) * $step / $room->air;
        if ($this->cooling > 0.0) {
            $water = $room->moisture * ($leak / $room->leakage) * $step;
            $freezes = $this->loop->dew < self::MELTING ? 1.0 : 0.0;
            $this->frost += $freezes * $water + $this->meltHeld;
            $this->meltHeld = 0.0;
        }
    }

    /** Frost and resting fans take air; the loop's parts are made anew when it shows. */
    private function shareOfAir(): void
    {
        $open = $this->fans ? 1 / (1 + ($this->frost / $this->halving) ** 1.5) : 0.05;
        if (abs($open - $this->share) > 0.01 || $this->frostSeen < 0.0) {
            $this->share = $open;
            $this->frostSeen = $this->frost;
            $this->frosted = $this->machine->with(coil: $this->machine->coil->with($open, 1 / (1 + 0.25 * $this->frost / $this->halving)));
        }
    }

    private function around(): Surroundings
    {
        return new Surroundings($this->ambient, $this->air, atmosphere: $this->machine->circuit->atmosphere->pascal);
    }

    public function now(): Moment
    {
        $atmosphere = $this->machine->circuit->atmosphere->pascal;
        $readings = [
            Reading::SuctionPressure->value => $this->suction - $atmosphere,
            Reading::DischargePressure->value => $this->discharge - $atmosphere,
            Reading::AmbientTemperature->value => $this->ambient,
            Reading::BoxTemperature->value => $this->air,
            Reading::CompressorCurrent->value => 0.0,
        ];
        $power = 0.0;
        if ($this->mode === 'running' && $this->solution !== null) {
            $state = (new SteadyState($this->frosted, $this->around()))->running($this->loop, $this->solution, 0.0);
            $readings = [...$state->readings, ...array_diff_key($readings, [Reading::CompressorCurrent->value => 0])];
            $power = $state->power;
            // The clamp at the bulb shows what has arrived there.
            $readings[Reading::SuctionTemperatureEvaporator->value] = $this->loop->dew + max(-$this->machine->fluid->glide($this->loop->coilPressure), $this->felt);
        }
        if ($this->controls->defrost !== DefrostKind::None) {
            $readings[Reading::FanDelaySensor->value] = $this->metal;
        }

        return new Moment($this->time, $this->mode, $this->calls, $this->fans, $this->tripped, $readings, $this->frost, $this->share, $this->opening, $this->cooling, $power, $this->product);
    }
}
