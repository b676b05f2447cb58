<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Installation\Metering;
use Metrum\Quantity\Copies;

/**
 * What feeds the coil: a thermostatic valve, an electronic one or a capillary.
 *
 * Flow = K · opening · √(density before it · pressure over it) (incompressible orifice, as valve makers rate it;
 * vapour before it lowers the density as a homogeneous mixture). A thermostatic valve opens in proportion to
 * superheat above its static superheat; one turn in raises that by some kelvin. An electronic valve is the same with
 * a steep gradient.
 */
final readonly class Feed
{
    use Copies;

    /** K of static superheat a turn of the stem gives. */
    public const KELVIN_PER_TURN = 1.6;

    /** Share of its travel below which a valve is near its seat. */
    private const SEAT = 0.08;

    /**
     * @param  float  $coefficient  K, m²
     * @param  float  $static  superheat at which it begins to open, K
     * @param  float  $gradient  K of superheat from shut to full open
     * @param  float  $least  opening it cannot go below, 0 … 1
     * @param  float  $bulbLag  s
     * @param  float  $most  opening it cannot go above, 0 … 1: a bulb that has lost some of its charge
     */
    public function __construct(
        public Metering $kind,
        public float $coefficient,
        public float $static,
        public float $gradient,
        public float $least = 0.0,
        public float $bulbLag = 10.0,
        public float $most = 1.0,
    ) {
    }

    /** Opening at a superheat felt by the bulb (K, below 0 where liquid passes it), 0 … 1. */
    public function opening(float $superheat): float
    {
        if ($this->kind === Metering::Capillary) {
            return 1.0;
        }

        $share = ($superheat - $this->static) / $this->gradient;
        if ($share < self::SEAT) {
            // Near its seat the flow fades out; it never jumps.
            $share = self::SEAT * exp(max(-6.0, ($share - self::SEAT) / self::SEAT));
        }

        return max($this->least, min($this->most, $share));
    }

    /** kg/s. @param  float  $density  kg/m³ before it @param  float  $difference  Pa over it */
    public function massFlow(float $opening, float $density, float $difference): float
    {
        return $this->coefficient * $opening * sqrt($density * max(1.0, $difference));
    }

    /** @param  float  $turns  in is positive (more superheat) */
    public function turned(float $turns): self
    {
        return $this->but(static: $this->static + self::KELVIN_PER_TURN * $turns);
    }

    /** @param  float  $share  of the flow area left */
    public function narrowed(float $share): self
    {
        return $this->but(coefficient: $this->coefficient * max(1e-3, $share));
    }

    /** The bulb has lost charge: the valve opens later and never far. @param  float  $left  share of the charge */
    public function weakened(float $left): self
    {
        return $this->but(most: max(1e-3, min($this->most, $left)), static: $this->static + 2.0 * (1 - $left));
    }

    /** Held open: begins to open at less superheat and never shuts below $least. */
    public function heldOpen(float $kelvin, float $least): self
    {
        return $this->but(static: $this->static - $kelvin, least: max($this->least, $least));
    }

    public function hunting(float $gradientShare, float $lag): self
    {
        return $this->but(gradient: $this->gradient * $gradientShare, bulbLag: $lag);
    }
}
