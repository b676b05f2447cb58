<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

use Metrum\Refrigerant\OutsideTable;
use Metrum\Twin\Loop;
use Metrum\Twin\Surroundings;

/**
 * One circuit of a rack between a liquid line and a header whose states are known: coil pressure, flow and air of each
 * case. It keeps where it stood, so that the next question begins there.
 */
final class BranchWalk
{
    /** ln of a flow, K of air, K of a coil and Pa of one: how closely each is found. */
    private const FLOW = 2e-5;

    private const AIR = 2e-3;

    private const PRESSURE = 2e-5;

    /** By which a valve answers a change of flow, and a coil's pressure its own drop, to begin with. */
    private const ANSWER = -5.0;

    private const RELIEF = 1.4;

    /** K over the set point at which a thermostat that cools is met. */
    private const IN_CYCLE = 0.4;

    /** K over the coil that air is at least, and over its set point at most. */
    private const LEAST_DIFFERENCE = 0.6;

    private const WARMEST = 32.0;

    /** @var list<Loop> by case */
    private array $loops = [];

    /** @var array<int, float> ln kg/s by case */
    private array $flows = [];

    /** @var array<int, float> K by case */
    private array $airs = [];

    public float $pressure;

    private float $header = 0.0;

    public function __construct(public readonly RackBranch $branch, private readonly Store $store, float $atmosphere)
    {
        foreach ($branch->cases as $case) {
            $around = new Surroundings($store->ambient, $branch->setPoint, atmosphere: $atmosphere);
            $this->loops[] = new Loop($case->machine, $around);
            $this->flows[] = log($case->machine->design->massFlow);
            $this->airs[] = $branch->setPoint;
        }
        $this->pressure = $branch->cases[0]->machine->design->evaporating;
    }

    /** @param  float  $condensing  Pa abs @param  float  $liquid  J/kg @throws OutsideTable */
    public function drawOn(float $condensing, float $liquid): void
    {
        foreach ($this->loops as $loop) {
            $loop->drawOn($condensing, $liquid);
        }
    }

    /**
     * Pa abs of the coil at which its neediest case just stands at the set point.
     *
     * @throws OutsideTable
     */
    public function needed(): float
    {
        $least = INF;
        foreach ($this->branch->cases as $i => $case) {
            $least = min($least, $this->neededBy($i, $case->load->at($this->branch->setPoint, $this->store)));
        }

        return $least;
    }

    /**
     * Pa abs at the header that it needs for that, with its regulator wide open.
     *
     * @throws OutsideTable
     */
    public function neededHeader(): float
    {
        $pressure = $this->needed();
        $this->evaporateAt($pressure);
        foreach ($this->loops as $i => $_) {
            $this->cooling($i, $this->branch->setPoint);
        }

        return $pressure - $this->drop($pressure);
    }

    /**
     * Settles its cases between liquid and header.
     *
     * @param  float  $header  Pa abs
     * @param  ?float  $floor  Pa abs at which its regulator holds the coil; null: nothing does
     * @param  list<?float>  $airs  K by case where the air is known; null: where the load holds it
     *
     * @throws OutsideTable
     */
    public function settle(float $header, ?float $floor, array $airs = []): void
    {
        $this->header = $header;
        $held = $floor ?? 0.0;
        // The more pressure the less flow: the drop falls as the guess rises.
        $this->pressure = (new Secant(self::PRESSURE * $header, 1e-3, [0.5, 4.5]))->root(
            function (float $pressure) use ($header, $held, $airs): float {
                $this->evaporateAt($pressure);
                foreach ($this->loops as $i => $_) {
                    $this->settleCase($i, $airs[$i] ?? null, $held > 0.0);
                }

                return $pressure - max($header + $this->drop($pressure), $held);
            },
            max($this->pressure, $held),
            self::RELIEF,
            max($header * 1.0005, $held),
        );
    }

    /** kg/s of all cases. */
    public function flow(): float
    {
        $flow = 0.0;
        foreach ($this->loops as $i => $loop) {
            $flow += $this->branch->cases[$i]->count * $loop->coil->returnFlow;
        }

        return $flow;
    }

    /** W that the header receives with its gas. */
    public function brought(): float
    {
        $brought = 0.0;
        foreach ($this->loops as $i => $loop) {
            $gas = $loop->coil->outletEnthalpy + $loop->suction->gained($loop);
            $brought += $this->branch->cases[$i]->count * $loop->coil->returnFlow * $gas;
        }

        return $brought;
    }

    /** J/(kg K) of its gas. */
    public function gasHeat(): float
    {
        return $this->loops[0]->coil->gasHeat;
    }

    /**
     * kg/m³ and K of the liquid that it draws.
     *
     * @return array{float, float}
     */
    public function liquid(): array
    {
        return [$this->loops[0]->line->density, $this->loops[0]->line->temperature];
    }

    public function state(float $saturated): CircuitState
    {
        $cases = [];
        $cooling = $density = $count = 0.0;
        foreach ($this->loops as $i => $loop) {
            $alike = $this->branch->cases[$i]->count;
            $cases[] = CaseState::of($loop);
            $cooling += $alike * $loop->coil->heat;
            $density += $alike * $loop->densityInCoil();
            $count += $alike;
        }

        return new CircuitState(
            BranchState::Cooling,
            $this->pressure,
            $saturated,
            $this->flow(),
            $cooling,
            ($this->branch->coilVolume * $density) / $count,
            $this->branch->regulatorOff === null ? null : $this->opening(),
            $cases,
        );
    }

    private function opening(): float
    {
        $over = max(1.0, $this->pressure - $this->header);

        return min(1.0, sqrt($this->drop($this->pressure) / $over));
    }

    /** Pa that line and wide-open regulator take at the flow of now. */
    private function drop(float $pressure): float
    {
        $flow = $this->flow();

        return min(0.8 * $pressure, ($this->branch->friction * $flow * $flow) / $this->loops[0]->coil->outletDensity);
    }

    private function evaporateAt(float $pressure): void
    {
        foreach ($this->loops as $loop) {
            $loop->evaporating->at($pressure);
        }
    }

    /** @param  bool  $isHeld  by a regulator, so that the air is what the load makes of it */
    private function settleCase(int $i, ?float $known, bool $isHeld): void
    {
        if ($known !== null) {
            $this->airs[$i] = $known;
            $this->cooling($i, $known);

            return;
        }
        $least = $isHeld ? -INF : $this->branch->setPoint + self::IN_CYCLE;
        $this->airs[$i] = $this->balanced($i, $least);
    }

    /** K of the air at which a case takes in what its coil takes out, or the least that its thermostat leaves. */
    private function balanced(int $i, float $least): float
    {
        $case = $this->branch->cases[$i];
        $loop = $this->loops[$i];
        $low = max($least, $loop->evaporating->dew + self::LEAST_DIFFERENCE);
        $high = max($low, $this->branch->setPoint + self::WARMEST);

        return (new Secant(1e-3, self::AIR, [0.15, 4.0]))->root(
            fn (float $air): float => $this->cooling($i, $air) - $case->load->at($air, $this->store),
            $this->airs[$i],
            $this->conductance($i),
            $low,
            $high,
        );
    }

    /** W/K that a coil takes out of warmer air, roughly. */
    private function conductance(int $i): float
    {
        return 1.1 * max(1e-3, $this->branch->cases[$i]->machine->coil->conductance());
    }

    /** W that a coil takes up at an air temperature. */
    private function cooling(int $i, float $air): float
    {
        $loop = $this->loops[$i];
        $loop->meet(new Surroundings($loop->around->ambient, $air, null, $loop->around->atmosphere));
        $this->flows[$i] = (new Secant(self::FLOW, 1e-7, [0.16, 8.0], 0.8))->root(
            static fn (float $x): float => log(max(1e-12, $loop->fed(exp($x)))) - $x,
            $this->flows[$i],
            self::ANSWER,
        );

        return $loop->coil->heat;
    }

    /** Pa abs at which one case would just hold its set point. */
    private function neededBy(int $i, float $load): float
    {
        $loop = $this->loops[$i];
        $set = $this->branch->setPoint;
        $fluid = $loop->machine->fluid;
        (new Secant(1e-3, self::AIR, [0.2, 4.0]))->root(
            function (float $dew) use ($i, $loop, $fluid, $set, $load): float {
                $loop->evaporating->at($fluid->dewPressure($dew));

                return $this->cooling($i, $set) - $load;
            },
            $fluid->dewTemperature($loop->machine->design->evaporating),
            -$this->conductance($i),
            max($set - 40.0, $fluid->saturation->lowest + 2.0),
            $set - self::LEAST_DIFFERENCE,
        );

        return $loop->evaporating->pressure;
    }
}
