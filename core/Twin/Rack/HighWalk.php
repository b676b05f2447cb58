<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

use Metrum\Refrigerant\OutsideTable;
use Metrum\Refrigerant\Saturation;
use Metrum\Twin\Loop;
use Metrum\Twin\Surroundings;

/** Condenser and suction groups of a rack for the gas that its circuits send. It keeps where it stood. */
final class HighWalk
{
    private const PRESSURE = 2e-6;

    private const ROUNDS = 40;

    /** Share of a pressure by which it stands at the end of the table. */
    private const BEYOND = 1e-3;

    /** Share of the heat above saturation that a reclaim coil leaves to the condenser. */
    private const LEFT_BY_RECLAIM = 0.3;

    public readonly Loop $loop;

    /** @var non-empty-list<GroupWalk> */
    public readonly array $groups;

    private float $low;

    private float $high;

    /** ln Pa abs. */
    private float $pressure;

    /** Whether no pressure of the refrigerant's table gives off what comes. */
    public bool $isBeyond = false;

    public function __construct(
        private readonly RackMachine $machine,
        private readonly Store $store,
        private readonly float $atmosphere,
    ) {
        $around = new Surroundings($store->ambient, $machine->high->design->box, atmosphere: $atmosphere);
        $this->loop = new Loop($machine->high, $around);
        // The only group compresses into the condenser's own loop; of several each does it in one beside that.
        $this->groups = count($machine->groups) === 1
            ? [new GroupWalk($machine->groups[0], $this->loop)]
            : array_map(
                static fn (RackGroup $one): GroupWalk => GroupWalk::beside($machine, $one, $around),
                $machine->groups,
            );
        $table = $machine->fluid()->saturation;
        $this->low = log($table->dewPressure(max($table->lowest + 2.0, $store->ambient - 25.0)));
        $this->high = log($table->bubblePressure($table->highest - 4.0));
        $this->pressure = log($machine->high->design->condensing);
    }

    /** Pa abs. */
    public function condensing(): float
    {
        return exp($this->pressure);
    }

    /**
     * Where the condenser just gives off what its groups send.
     *
     * @param  float  $fill  of the charge, see Loop
     *
     * @throws OutsideTable
     */
    public function settle(float $fill): void
    {
        $this->loop->fill = $fill;
        $flow = 0.0;
        foreach ($this->groups as $group) {
            $group->gather(exp($this->pressure));
            $flow += $group->flow;
        }
        $this->loop->massFlow = $flow;
        [$low, $high] = [$this->low, $this->high];
        $x = max($low, min($high, $this->pressure));
        $before = null;
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $miss = $this->miss($x);
            if (abs($miss) < self::PRESSURE) {
                break;
            }
            // Too little share of the condenser is needed: the pressure is too high.
            if ($miss > 0.0) {
                $high = $x;
            } else {
                $low = $x;
            }
            $slope = $before === null || abs($x - $before[0]) < 1e-9
                ? 3.0
                : ($miss - $before[1]) / ($x - $before[0]);
            $before = [$x, $miss];
            $next = $slope > 0.05 ? $x - max(-0.4, min(0.4, $miss / $slope)) : ($low + $high) / 2;
            $x = $next <= $low || $next >= $high ? ($low + $high) / 2 : $next;
            if ($high - $low < 1e-7) {
                break;
            }
        }
        $this->pressure = $x;
        $this->isBeyond = $x > $this->high - self::BEYOND;
    }

    /** K of the air that leaves the condenser. */
    public function airOut(): float
    {
        $condenser = $this->loop->condenser;
        $side = $condenser->airFlow < 1.0
            ? $this->machine->high->condenser->with($condenser->airFlow)
            : $this->machine->high->condenser;

        return $this->store->ambient + $condenser->heat / $side->capacity;
    }

    private function miss(float $x): float
    {
        $loop = $this->loop;
        $loop->condensing->at(exp($x));
        $point = $loop->condensing;
        $colder = $point->table->at(Saturation::LIQUID_ENTHALPY, $point->bubble - 10.0);
        $loop->liquidHeat = ($point->liquid - $colder) / 10.0;
        $gas = $this->compressed(exp($x));
        if ($this->store->reclaims && $this->machine->reclaimVolume > 0.0) {
            $vapour = $point->vapour;
            $loop->compression->enthalpy = $vapour + self::LEFT_BY_RECLAIM * max(0.0, $gas - $vapour);
        }
        $loop->condenser->walk($loop);
        $loop->compression->enthalpy = $gas;
        $condenser = $loop->condenser;

        return 1 - $condenser->desuperheating - $condenser->condensing - $condenser->blocked - $condenser->flooded;
    }

    /** J/kg of the gas of all groups together, as it leaves them at such a head (Pa abs). */
    private function compressed(float $condensing): float
    {
        if (count($this->groups) === 1) {
            return $this->groups[0]->compress();
        }
        $flow = $gas = 0.0;
        foreach ($this->groups as $group) {
            $group->loop->condensing->at($condensing);
            $gas += $group->flow * $group->compress();
            $flow += $group->flow;
        }

        return $this->loop->compression->enthalpy = $gas / $flow;
    }
}
