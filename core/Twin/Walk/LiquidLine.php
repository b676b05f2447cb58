<?php

declare(strict_types=1);

namespace Metrum\Twin\Walk;

use Metrum\Refrigerant\OutsideTable;
use Metrum\Refrigerant\Saturation;
use Metrum\Twin\Loop;

/** From the receiver to the valve: friction, drier, lift, heat to the air around, and the gas that flashes. SI. */
final class LiquidLine
{
    private const GRAVITY = 9.81;

    /** J/(kg K) of suction gas in a suction-to-liquid heat exchanger. */
    private const EXCHANGER_HEAT = 700.0;

    /** Temperature and density after the receiver; share of vapour there. */
    public float $temperature = 0.0;

    public float $density = 0.0;

    public float $quality = 0.0;

    /** Pressure that the drier takes, Pa, and the pipe's temperature before and after it. */
    public float $drierDrop = 0.0;

    public float $drierInlet = 0.0;

    /** Pressure lost before the drier, Pa. */
    public float $outletDrop = 0.0;

    public float $drierOutlet = 0.0;

    /** Heat lost to the air around, W. */
    public float $lost = 0.0;

    /** Heat given to the suction gas in an exchanger, J/kg of liquid. */
    public float $saved = 0.0;

    /** Before the valve: pressure, enthalpy, temperature, share of vapour, density. */
    public float $valvePressure = 0.0;

    public float $enthalpy = 0.0;

    public float $valveTemperature = 0.0;

    public float $valveQuality = 0.0;

    public float $valveDensity = 0.0;

    /** @throws OutsideTable */
    public function walk(Loop $loop): void
    {
        $machine = $loop->machine;
        $condensing = $loop->condensing;
        $flow = $loop->massFlow;
        $quality = $this->quality = max(0.0, ($loop->liquid - $condensing->liquid) / $condensing->latent);
        // Below bubble, by a specific heat that falls and a density that rises a little with cold.
        $cold = ($condensing->liquid - $loop->liquid) / $loop->liquidHeat;
        if ($quality > 0.0) {
            $this->temperature = $condensing->temperature(min(1.0, $quality));
            $this->density =
                1 / ($quality / $condensing->light + (1 - min(1.0, $quality)) / $condensing->heavy);
        } else {
            $this->temperature = $condensing->bubble - $cold * (1 + 0.0012 * $cold);
            $this->density = $condensing->heavy * (1 + 0.003 * $cold);
        }
        $this->drierDrop = ($machine->drierFriction * $flow * $flow) / $this->density;
        $this->outletDrop = ($machine->outletFriction * $flow * $flow) / $this->density;
        $drop =
            $this->outletDrop +
            $this->drierDrop +
            ($machine->liquidFriction * $flow * $flow) / $this->density +
            $this->density * self::GRAVITY * $machine->lift;
        $this->valvePressure = max($condensing->pressure - $drop, 1.05 * $loop->evaporating->pressure);
        $this->lost = $machine->liquidLoss * ($this->temperature - $loop->around->ambient);
        $this->saved = $machine->exchanger > 0.0 ? $this->exchanged($loop) : 0.0;
        $this->enthalpy = $loop->liquid - $this->lost / $flow - $this->saved;
        $this->atValve($loop);
        $this->atDrier($loop);
    }

    private function exchanged(Loop $loop): float
    {
        $above = $this->temperature - $loop->evaporating->dew - max(0.0, $loop->coil->superheat);

        return $loop->machine->exchanger * self::EXCHANGER_HEAT * max(0.0, $above);
    }

    private function atValve(Loop $loop): void
    {
        $table = $loop->condensing->table;
        $bubble = $table->bubbleTemperature($this->valvePressure);
        $dew = $table->dewTemperature($this->valvePressure);
        $liquid = $table->at(Saturation::LIQUID_ENTHALPY, $bubble);
        $latent = $table->at(Saturation::VAPOUR_ENTHALPY, $dew) - $liquid;
        $flash = $this->valveQuality = max(0.0, min(1.0, ($this->enthalpy - $liquid) / $latent));
        if ($flash > 0.0) {
            $this->valveTemperature = $bubble + $flash * ($dew - $bubble);
            $light = $table->at(Saturation::VAPOUR_DENSITY, $dew);
            $heavy = $table->at(Saturation::LIQUID_DENSITY, $bubble);
            $this->valveDensity = 1 / ($flash / $light + (1 - $flash) / $heavy);
        } else {
            $given = $this->lost / $loop->massFlow + $this->saved;
            $this->valveTemperature = min($bubble, $this->temperature - $given / $loop->liquidHeat);
            $this->valveDensity = $this->density;
        }
    }

    /** Liquid that boils at what throttles it is no warmer after it than it boils there. */
    private function atDrier(Loop $loop): void
    {
        $table = $loop->condensing->table;
        $inlet = max($loop->condensing->pressure - $this->outletDrop, $this->valvePressure);
        $outlet = max($inlet - $this->drierDrop, $this->valvePressure);
        $this->drierInlet =
            $this->outletDrop > 0.0
                ? min($this->temperature, $table->bubbleTemperature($inlet))
                : $this->temperature;
        $afterDrier = $table->bubbleTemperature($outlet);
        $this->drierOutlet = min(
            $this->drierInlet,
            max($afterDrier, min($this->valveTemperature, $this->drierInlet)),
        );
    }
}
