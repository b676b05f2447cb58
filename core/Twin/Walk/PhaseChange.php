<?php

declare(strict_types=1);

namespace Metrum\Twin\Walk;

use Metrum\Refrigerant\OutsideTable;
use Metrum\Refrigerant\Saturation;

/** Saturated liquid and vapour at one pressure, looked up once a walk. SI: Pa abs, K, J/kg, kg/m³. */
final class PhaseChange
{
    public float $pressure = 0.0;

    public float $bubble = 0.0;

    public float $dew = 0.0;

    /** Enthalpy of the liquid. */
    public float $liquid = 0.0;

    /** Enthalpy of the vapour. */
    public float $vapour = 0.0;

    public float $latent = 0.0;

    /** Density of the liquid. */
    public float $heavy = 0.0;

    /** Density of the vapour. */
    public float $light = 0.0;

    public function __construct(public readonly Saturation $table)
    {
    }

    /** @throws OutsideTable */
    public function at(float $pressure): void
    {
        $table = $this->table;
        $this->pressure = $pressure;
        $this->bubble = $table->bubbleTemperature($pressure);
        $this->dew = $table->dewTemperature($pressure);
        $this->liquid = $table->at(Saturation::LIQUID_ENTHALPY, $this->bubble);
        $this->vapour = $table->at(Saturation::VAPOUR_ENTHALPY, $this->dew);
        $this->latent = $this->vapour - $this->liquid;
        $this->heavy = $table->at(Saturation::LIQUID_DENSITY, $this->bubble);
        $this->light = $table->at(Saturation::VAPOUR_DENSITY, $this->dew);
    }

    /** Density of a homogeneous mixture, kg/m³. @param  float  $quality  share of vapour, 0 … 1 */
    public function density(float $quality): float
    {
        return 1 / ($quality / $this->light + (1 - $quality) / $this->heavy);
    }

    /** Temperature on the glide, K. @param  float  $quality  share of vapour, 0 … 1 */
    public function temperature(float $quality): float
    {
        return $this->bubble + $quality * ($this->dew - $this->bubble);
    }
}
