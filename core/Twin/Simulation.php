<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Installation\DefrostKind;
use Metrum\Installation\Metering;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Reading;

/**
 * A plant in time. Box, product, walls, frost, coil metal, valve bulb, standing pressures and controls move step by
 * step; the refrigerant follows at once with its inventory (quasi-steady), since its own transients pass within
 * seconds.
 *
 * The bulb feels the coil's outlet late (dead time of the coil, lag of outlet and bulb): with too steep a valve or
 * too slow a bulb the loop swings by itself.
 */
final class Simulation
{
    /** s; a step up to here carries the valve's own movement. */
    private const FINE = 4.0;

    private readonly BoxInTime $box;

    private readonly Bulb $bulb;

    private readonly PressuresInTime $pressures;

    private readonly Sequence $sequence;

    private readonly Swing $swing;

    private float $time = 0.0;

    private float $again = 0.0;

    private float $wait = 15.0;

    private float $cooling = 0.0;

    private float $opening = 0.5;

    private float $share = 1.0;

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
        $this->pressures = new PressuresInTime($machine, $controls, $ambient, $box);
        $this->sequence = new Sequence($machine, $controls);
        $this->swing = new Swing();
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
            $room = $room->with($fault, $severity);
        }

        return new self($sick, $room, $controls, $ambient, $box);
    }

    /** The door stands open for so many seconds from now. */
    public function openDoor(float $seconds): void
    {
        $this->box->openDoor($seconds);
    }

    /** Starts a defrost now, as a hand at the clock would. */
    public function defrost(): void
    {
        $this->sequence->defrostAt($this->time);
    }

    /** @param  float  $step  s, 1 … 60 */
    public function advance(float $step): void
    {
        $this->sequence->decide(
            $this->time,
            $this->box,
            $this->pressures->suction(),
            $this->pressures->discharge(),
        );
        match ($this->sequence->mode) {
            Mode::Running => $this->run($step),
            Mode::PumpingDown => $this->pumpDown($step),
            Mode::Off, Mode::Defrosting, Mode::Dripping => $this->stand($step),
        };
        if ($this->sequence->mode === Mode::Defrosting) {
            $this->box->heat($step);
        }
        $this->box->warm($step, $this->cooling, $this->loop->evaporating->dew);
        $this->time += $step;
        $this->sequence->inMode += $step;
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
            $this->pressures->runAway($step);

            return;
        }
        $this->pressures->follow($this->loop, $step);
        $this->cooling = $this->loop->coil->heat * min(1.0, ($this->sequence->inMode + $step) / 30.0);
        $this->box->metal += ($this->loop->evaporating->dew - $this->box->metal) * (1 - exp(-$step / 60.0));
        $this->sequence->startFans($this->box->metal);
        $this->opening =
            $given === null
                ? $this->bulb->settle($this->loop->coil->superheat, $this->loop->opening)
                : $this->bulb->feel($step, $this->loop->coil->superheat, $this->loop->coil->outletQuality);
        if ($given !== null) {
            $this->swing->feel($this->time, $this->superheatAtBulb());
        }
    }

    /** K that a clamp at the bulb shows above dew: what has arrived there; where liquid passes, it goes no lower. */
    private function superheatAtBulb(): float
    {
        return max(-$this->machine->fluid->glide($this->loop->evaporating->pressure), $this->bulb->felt);
    }

    /**
     * The loop's solution from where it stood; where there is none (the suction runs away), it is looked for again
     * after a wait that doubles.
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

    /** Liquid shut off: the coil empties. */
    private function pumpDown(float $step): void
    {
        $this->shareOfAir();
        $this->pressures->pumpDown($step);
        $this->cooling = max(0.0, $this->machine->design->cooling * 0.4 * exp(-$this->sequence->inMode / 30.0));
        if ($this->sequence->inMode > 600) {
            // A worn machine never gets there; somebody or something stops it.
            $this->sequence->enter(Mode::Off);
        }
    }

    private function stand(float $step): void
    {
        $this->cooling = 0.0;
        $coldest = $this->sequence->mode === Mode::Defrosting ? $this->box->metal : $this->box->air;
        $this->pressures->stand($step, $coldest, $this->fills());
        $this->opening = $this->bulb->rest($step);
        $this->swing->forget();
        $this->solution = null;
        if ($this->sequence->mode === Mode::Off) {
            $this->box->metal += ($this->box->air - $this->box->metal) * (1 - exp(-$step / 200.0));
            $this->box->meltInAir($step, $this->sequence->fans);
        }
    }

    /** A pump-down plant that is called opens its solenoid: the coil fills and the low-pressure control closes. */
    private function fills(): bool
    {
        return $this->controls->pumpsDown &&
            $this->sequence->calls &&
            $this->sequence->mode === Mode::Off &&
            $this->machine->solenoidOpen;
    }

    /** Frost and resting fans take air; the loop's parts are made anew when it shows. */
    private function shareOfAir(): void
    {
        $open = $this->sequence->fans ? $this->box->openShare() : 0.05;
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
            Reading::SuctionPressure->value => $this->pressures->suction() - $atmosphere,
            Reading::DischargePressure->value => $this->pressures->discharge() - $atmosphere,
            Reading::AmbientTemperature->value => $this->ambient,
            Reading::BoxTemperature->value => $this->box->air,
            Reading::CompressorCurrent->value => 0.0,
        ];
        $power = 0.0;
        if ($this->sequence->mode === Mode::Running && $this->solution !== null) {
            $this->loop->meet($this->around());
            $state = (new Instruments($this->loop))->state($this->solution, 0.0);
            $readings = [
                ...$state->readings,
                ...array_diff_key($readings, [Reading::CompressorCurrent->value => 0]),
            ];
            $power = $state->power;
            $readings[Reading::SuctionTemperatureEvaporator->value] =
                $this->loop->evaporating->dew + $this->superheatAtBulb();
            $readings = $this->swing->readings() + $readings;
        }
        if ($this->controls->defrost !== DefrostKind::None) {
            $readings[Reading::FanDelaySensor->value] = $this->box->metal;
        }

        return new Moment(
            $this->time,
            $this->sequence->mode,
            $this->sequence->calls,
            $this->sequence->fans,
            $this->sequence->tripped,
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
