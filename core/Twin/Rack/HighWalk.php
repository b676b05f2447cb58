<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

use Metrum\Installation\UsualCompressor;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Refrigerant\Saturation;
use Metrum\Twin\Compressor;
use Metrum\Twin\Loop;
use Metrum\Twin\Surroundings;

/** Compressors and condenser of a rack for the gas that all of its circuits send. It keeps where it stood. */
final class HighWalk
{
    private const PRESSURE = 2e-6;

    private const ROUNDS = 40;

    /** Share of a pressure by which it stands at the end of the table. */
    private const BEYOND = 1e-3;

    /** Share of the heat above saturation that a reclaim coil leaves to the condenser. */
    private const LEFT_BY_RECLAIM = 0.3;

    /** K that hot gas is warmer than saturation at least. */
    private const MOST_SUPERHEAT = 118.0;

    public readonly Loop $loop;

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
     * Where the condenser just gives off what comes.
     *
     * @param  float  $suction  at the header, Pa abs
     * @param  float  $flow  kg/s
     * @param  float  $gas  J/kg at the compressors
     * @param  float  $gasHeat  J/(kg K) of it
     * @param  float  $fill  of the charge, see Loop
     *
     * @throws OutsideTable
     */
    public function settle(float $suction, float $flow, float $gas, float $gasHeat, float $fill): void
    {
        $loop = $this->loop;
        $loop->massFlow = $flow;
        $loop->coil->returnFlow = $flow;
        $loop->coil->gasHeat = $gasHeat;
        $loop->fill = $fill;
        $loop->condensing->at(exp($this->pressure));
        $loop->suction->gathered($loop, $suction, $gas);
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

    /** kg/s that compressors would deliver which all run. */
    public function capacity(): float
    {
        $loop = $this->loop;
        $delivers = 0.0;
        foreach ($this->machine->compressors as $one) {
            $delivers += $one->delivers();
        }
        $whole = $this->machine->high->compressor->displacement *
            Compressor::volumetricEfficiency($loop->compression->ratio) *
            $loop->suction->density;

        return max(1e-6, $whole * $delivers);
    }

    /** K of the discharge pipe. */
    public function discharge(): float
    {
        $fluid = $this->machine->fluid();
        $dew = $fluid->dewTemperature($this->loop->condensing->pressure + $this->machine->high->inert);
        try {
            $gas = $dew + $fluid->superheatOfEnthalpy($dew, $this->loop->compression->enthalpy);
        } catch (OutsideTable) {
            $gas = $dew + self::MOST_SUPERHEAT;
        }

        return UsualCompressor::pipeTemperature($gas, $this->store->ambient);
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
        $loop->compression->walk($loop);
        $gas = $loop->compression->enthalpy;
        if ($this->store->reclaims && $this->machine->reclaimVolume > 0.0) {
            $vapour = $point->vapour;
            $loop->compression->enthalpy = $vapour + self::LEFT_BY_RECLAIM * max(0.0, $gas - $vapour);
        }
        $loop->condenser->walk($loop);
        $loop->compression->enthalpy = $gas;
        $condenser = $loop->condenser;

        return 1 - $condenser->desuperheating - $condenser->condensing - $condenser->blocked - $condenser->flooded;
    }
}
