<?php

declare(strict_types=1);

namespace Metrum\Twin\Walk;

use Metrum\Refrigerant\OutsideTable;
use Metrum\Refrigerant\Saturation;
use Metrum\Twin\Loop;

/** From the coil to the compressor: regulator, friction, heat from the air around. SI. */
final class SuctionLine
{
    /** K above dew up to which the vapour table is asked. */
    private const MOST_SUPERHEAT = 110.0;

    /** Pa that the regulator takes. */
    public float $regulatorDrop = 0.0;

    /** W·s/kg taken up on the way, without an exchanger. */
    public float $gain = 0.0;

    /** J/kg by which a rack's other circuits warm or cool this circuit's gas before the compressor. */
    public float $mixed = 0.0;

    /** At the compressor: pressure, dew, K above it, enthalpy, density, entropy. */
    public float $pressure = 0.0;

    public float $dew = 0.0;

    public float $superheat = 0.0;

    public float $enthalpy = 0.0;

    public float $density = 0.0;

    public float $entropy = 0.0;

    /** @param  float  $floor  Pa below which the table knows nothing; a suction pumped lower is drawn there */
    public function __construct(private readonly float $floor)
    {
    }

    /** @throws OutsideTable */
    public function walk(Loop $loop): void
    {
        $machine = $loop->machine;
        $coil = $loop->coil;
        $return = $coil->returnFlow;
        $from = $loop->evaporating->pressure;
        $this->regulatorDrop =
            $machine->regulatorSetting === null ? 0.0 : $this->throttled($loop, $machine->regulatorSetting);
        $friction = ($machine->suctionFriction * $return * $return) / $coil->outletDensity;
        $this->pressure = max($this->floor, 0.12 * $from, $from - $this->regulatorDrop - $friction);
        $this->gain = $this->gained($loop);
        $this->enthalpy =
            $coil->outletEnthalpy + $this->gain + ($loop->line->saved * $loop->massFlow) / $return;
        $table = $loop->evaporating->table;
        $this->dew = $table->dewTemperature($this->pressure);
        $vapour = $table->at(Saturation::VAPOUR_ENTHALPY, $this->dew);
        $this->mixed = $machine->groupSuction === null ? 0.0 : $this->fromOthers($loop, $vapour);
        $this->enthalpy += $this->mixed;
        if ($this->enthalpy >= $vapour) {
            $this->asGas($loop, $vapour);
        } else {
            $this->asMixture($table, $vapour);
        }
    }

    /**
     * What several circuits send to a header, as the compressors draw it.
     *
     * @param  float  $pressure  Pa abs at the header
     * @param  float  $enthalpy  J/kg of all of it together
     *
     * @throws OutsideTable
     */
    public function gathered(Loop $loop, float $pressure, float $enthalpy): void
    {
        $table = $loop->condensing->table;
        $this->pressure = max($this->floor, $pressure);
        $this->enthalpy = $enthalpy;
        $this->dew = $table->dewTemperature($this->pressure);
        $vapour = $table->at(Saturation::VAPOUR_ENTHALPY, $this->dew);
        if ($this->enthalpy >= $vapour) {
            $this->asGas($loop, $vapour);
        } else {
            $this->asMixture($table, $vapour);
        }
    }

    /** Pa over the regulator: from its setting it opens over a tenth of the design pressure. */
    private function throttled(Loop $loop, float $setting): float
    {
        $machine = $loop->machine;
        $over = ($loop->evaporating->pressure - $setting) / (0.1 * $machine->design->evaporating);
        $open = max(0.08, min(1.0, 0.5 + $over));
        $return = $loop->coil->returnFlow;

        return ($machine->regulatorFriction * $return * $return) / ($loop->coil->outletDensity * $open * $open);
    }

    /** The compressors of a rack draw all circuits' gas together (J/kg of this circuit's). */
    private function fromOthers(Loop $loop, float $vapour): float
    {
        $others = $loop->machine->others;
        $theirs = $vapour + $loop->coil->gasHeat * $loop->machine->groupSuperheat;

        return (($theirs - $this->enthalpy) * $others) / ($others + $loop->coil->returnFlow);
    }

    /** J/kg that the gas takes up between coil and compressor. */
    public function gained(Loop $loop): float
    {
        $coil = $loop->coil;
        if ($loop->around->returnGain !== null) {
            return $coil->gasHeat * $loop->around->returnGain;
        }
        $units = $loop->machine->suctionGain / ($coil->returnFlow * $coil->gasHeat);

        return $coil->gasHeat * ($loop->around->ambient - $coil->outlet) * (1 - exp(-$units));
    }

    private function asGas(Loop $loop, float $vapour): void
    {
        $specific = $loop->coil->gasHeat;
        $near = min(self::MOST_SUPERHEAT, ($this->enthalpy - $vapour) / $specific);
        [$gas, $enthalpy, $entropy] = $loop->machine->fluid->vapourState($this->dew, $near);
        $miss = $this->enthalpy - $enthalpy;
        $this->superheat = $near + $miss / $specific;
        $this->density = $gas * (($this->dew + $near) / ($this->dew + $this->superheat));
        $this->entropy = $entropy + $miss / ($this->dew + $near);
    }

    private function asMixture(Saturation $table, float $vapour): void
    {
        $bubble = $table->bubbleTemperature($this->pressure);
        $latent = $vapour - $table->at(Saturation::LIQUID_ENTHALPY, $bubble);
        $short = $vapour - $this->enthalpy;
        $dryness = max(0.3, 1 - $short / $latent);
        $this->superheat = ($dryness - 1) * ($this->dew - $bubble);
        $this->density = $table->at(Saturation::VAPOUR_DENSITY, $this->dew) / $dryness;
        $this->entropy = $table->at(Saturation::VAPOUR_ENTROPY, $this->dew) - $short / $this->dew;
    }
}
