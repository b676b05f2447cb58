<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Installation\UsualCompressor;
use Metrum\Quantity\Copies;

/**
 * A piston (or piston-like) compressor: gas pumped, work, heat into the gas, current.
 *
 * Volumetric efficiency: 1 − c (ratio^(1/n) − 1), the clearance gas's re-expansion (Gosney, Principles of
 * Refrigeration, ch. 4), less 2 % a unit of ratio for heating and leakage in health. Wear lets a share of the gas back:
 * less is pumped, while most of the work is still done and goes into the gas as heat.
 */
final readonly class Compressor
{
    use Copies;

    private const CLEARANCE = 0.045;

    private const EXPONENT = 1.12;

    /**
     * @param  float  $displacement  m³/s swept
     * @param  float  $wear  share of the gas that leaks back, 0 … 1
     * @param  float  $volts  between lines
     * @param  int  $phases  1 or 3
     * @param  float  $fineness  isentropic efficiency of this make against the usual, near 1
     */
    public function __construct(
        public float $displacement,
        public float $wear = 0.0,
        public float $volts = 400.0,
        public int $phases = 3,
        public float $fineness = 1.0,
    ) {
    }

    /** Volumetric efficiency of a sound machine, 0.02 … 1. */
    public static function volumetricEfficiency(float $ratio): float
    {
        return max(0.02, 1 - self::CLEARANCE * ($ratio ** (1 / self::EXPONENT) - 1) - 0.02 * ($ratio - 1));
    }

    /** Gas delivered, kg/s. @param  float  $density  of the suction gas, kg/m³ */
    public function massFlow(float $density, float $ratio): float
    {
        return $this->displacement * self::volumetricEfficiency($ratio) * $density * (1 - 0.75 * $this->wear);
    }

    /**
     * Work at the shaft for each kilogram delivered, J/kg.
     *
     * @param  float  $ideal  loss-free work, J/kg
     */
    public function work(float $ideal, float $ratio): float
    {
        $efficiency = UsualCompressor::isentropicEfficiency($ratio) * $this->fineness;

        return (($ideal / $efficiency) * (1 - 0.45 * $this->wear)) / (1 - 0.75 * $this->wear);
    }

    /** Electric power, W. @param  float  $shaft  W */
    public function electricPower(float $shaft): float
    {
        return $shaft / 0.88;
    }

    /** Line current, A. @param  float  $electric  W @param  float  $share  of the rated load, 0 … 1.3 */
    public function current(float $electric, float $share): float
    {
        $powerFactor = 0.55 + 0.3 * min(1.0, max(0.0, $share));

        return $electric / ($powerFactor * $this->volts * ($this->phases === 3 ? sqrt(3.0) : 1.0));
    }

    public function worn(float $wear): self
    {
        return $this->but(wear: min(0.95, $this->wear + $wear));
    }

    /** Another make: swept volume and efficiency by a share. */
    public function otherwise(float $displacement, float $fineness = 1.0): self
    {
        return $this->but(
            displacement: $this->displacement * $displacement,
            fineness: $this->fineness * $fineness,
        );
    }
}
