<?php

declare(strict_types=1);

namespace Metrum\Twin\Walk;

use Metrum\Refrigerant\OutsideTable;
use Metrum\Twin\Loop;

/** Through the coil: a two-phase and a superheating zone share its face. SI. */
final class CoilWalk
{
    /** J/kg by which hot gas that leaks into the coil lies above saturated vapour at condensing. */
    private const HOT_GAS = 20e3;

    /** K of superheat over which the gas's own specific heat is taken. */
    private const OVER = 8.0;

    /** Transfer of a zone of gas, of that of a two-phase one. */
    private const GAS_TRANSFER = 0.45;

    /** K that a bulb feels below dew where nothing but liquid passes it. */
    private const FELT_WET = 25.0;

    /** Hot gas that leaks in, and all that leaves the coil, kg/s; enthalpy of that gas. */
    public float $leak = 0.0;

    public float $hot = 0.0;

    public float $returnFlow = 0.0;

    /** Temperature and share of vapour behind the valve. */
    public float $inlet = 0.0;

    public float $inletQuality = 0.0;

    /** Face that two-phase refrigerant would need, of what there is; the share it gets, and what is left dry. */
    public float $wet = 0.0;

    public float $wetShare = 0.0;

    public float $dryShare = 0.0;

    /** J/(kg K) of the gas. */
    public float $gasHeat = 0.0;

    /** Above dew where the gas begins to be warmed, K: more than 0 where nothing is left to boil at the inlet. */
    public float $entering = 0.0;

    /** Above dew at the outlet, K; below 0 where liquid leaves. What a bulb feels of it. */
    public float $superheat = 0.0;

    public float $felt = 0.0;

    /** At the outlet: temperature, enthalpy, share of vapour, density. */
    public float $outlet = 0.0;

    public float $outletEnthalpy = 0.0;

    public float $outletQuality = 1.0;

    public float $outletDensity = 0.0;

    /** W that the refrigerant takes up. */
    public float $heat = 0.0;

    /** @throws OutsideTable */
    public function walk(Loop $loop): void
    {
        $machine = $loop->machine;
        $evaporating = $loop->evaporating;
        $flow = $loop->massFlow;
        $liquid = $loop->line->enthalpy;
        $this->hotGas($loop);
        $this->inletQuality = max(0.0, min(0.98, ($liquid - $evaporating->liquid) / $evaporating->latent));
        $this->inlet = $evaporating->temperature($this->inletQuality);
        $middle = ($this->inlet + $evaporating->dew) / 2;
        $available = $machine->coil->conductance() * max(0.05, $loop->around->box - $middle);
        $needed = $flow * ($evaporating->vapour - $liquid) - $this->leak * ($this->hot - $evaporating->vapour);
        $this->wet = $needed / $available;
        $this->wetShare = max(0.0, min(1.0, $this->wet));
        $this->dryShare = 1 - $this->wetShare;
        if ($this->wet < 1.0) {
            $this->superheated($loop, $needed);
        } else {
            $this->overfed($loop, $available);
        }
        $this->heat = $this->returnFlow * $this->outletEnthalpy - $flow * $liquid - $this->leak * $this->hot;
    }

    private function hotGas(Loop $loop): void
    {
        $machine = $loop->machine;
        $over = max(0.0, $loop->condensing->pressure - $loop->evaporating->pressure);
        $this->hot = $loop->condensing->vapour + self::HOT_GAS;
        $this->leak =
            $machine->hotGas * sqrt($over / ($machine->design->condensing - $machine->design->evaporating));
        $this->returnFlow = $loop->massFlow + $this->leak;
    }

    /**
     * All liquid is boiled away before the outlet; the rest of the face warms the gas, or cools what comes in hotter
     * than the air.
     *
     * @param  float  $needed  W that boil all that comes; below 0 where gas alone comes, by its superheat
     */
    private function superheated(Loop $loop, float $needed): void
    {
        $dew = $loop->evaporating->dew;
        $vapour = $loop->evaporating->vapour;
        $light = $loop->evaporating->light;
        [$lighter, $hotter] = $loop->machine->fluid->vapourState($dew, self::OVER);
        $this->gasHeat = ($hotter - $vapour) / self::OVER;
        $units =
            ($this->dryShare * $loop->machine->coil->conductance(self::GAS_TRANSFER)) /
            ($this->returnFlow * $this->gasHeat);
        $this->entering = max(0.0, -$needed) / ($this->returnFlow * $this->gasHeat);
        if ($this->entering > 0.0 && $loop->line->enthalpy > $vapour) {
            $this->inlet = $dew + ($loop->line->enthalpy - $vapour) / $this->gasHeat;
        }
        $most = max(0.0, $loop->around->box - $dew) - $this->entering;
        $this->superheat = $this->entering + $most * (1 - exp(-$units));
        $this->outletEnthalpy = $vapour + $this->gasHeat * $this->superheat;
        $this->outletQuality = 1.0;
        $this->outlet = $dew + $this->superheat;
        $this->outletDensity = $light * (1 + (($lighter / $light - 1) * $this->superheat) / self::OVER);
        $this->felt = $this->superheat;
    }

    /** More liquid comes than the face can boil: some of it leaves. @param  float  $available  W that the face moves */
    private function overfed(Loop $loop, float $available): void
    {
        $evaporating = $loop->evaporating;
        $this->entering = 0.0;
        [, $hotter] = $loop->machine->fluid->vapourState($evaporating->dew, self::OVER);
        $this->gasHeat = ($hotter - $evaporating->vapour) / self::OVER;
        $brought = $loop->massFlow * $loop->line->enthalpy + $this->leak * $this->hot;
        $this->outletEnthalpy = ($available + $brought) / $this->returnFlow;
        $quality = ($this->outletEnthalpy - $evaporating->liquid) / $evaporating->latent;
        $this->outletQuality = max(0.0, min(1.0, $quality));
        $this->outlet = $evaporating->temperature($this->outletQuality);
        $this->superheat = $this->outlet - $evaporating->dew;
        $this->outletDensity = $evaporating->density($this->outletQuality);
        $this->felt = $this->superheat - self::FELT_WET * (1 - $this->outletQuality);
    }
}
