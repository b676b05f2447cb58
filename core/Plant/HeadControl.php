<?php

declare(strict_types=1);

namespace Metrum\Plant;

use Metrum\Circuit\HeadPressureControl;
use Metrum\Quantity\Copies;

/**
 * What holds the head up in the cold, as a smooth function of condensing pressure.
 *
 * Fan speed and fan cycling (as the mean over whole cycles) let less air through below their setting; a flooding valve
 * throttles the condenser's outlet, so that liquid backs up in it, and sends hot gas past it into the receiver.
 */
final readonly class HeadControl
{
    use Copies;

    public const MOST_FLOODED = 0.93;

    /**
     * @param  float  $setting  saturated condensing (bubble, K) that is held
     * @param  float  $mixed  how far the bypass warms the condensate towards saturation, 0 … 1
     * @param  float  $bypass  share of the gas that passes the condenser although it should not (fault), 0 … 1
     */
    public function __construct(
        public HeadPressureControl $kind,
        public float $setting,
        public float $bypass = 0.0,
        public float $mixed = 0.7,
    ) {
    }

    /** Share of the condenser's air that moves, 0.06 … 1. @param  float  $bubble  condensing, K */
    public function air(float $bubble): float
    {
        return match ($this->kind) {
            HeadPressureControl::FanSpeed => max(0.06, min(1.0, ($bubble - $this->setting + 3.0) / 4.0)),
            HeadPressureControl::FanCycling => max(0.06, min(1.0, ($bubble - $this->setting + 4.0) / 6.0)),
            default => 1.0,
        };
    }

    /** Share of the condenser that the valve holds full of liquid, 0 … 0.93. @param  float  $bubble  condensing, K */
    public function flooded(float $bubble): float
    {
        return $this->kind === HeadPressureControl::FloodingValve
            ? max(0.0, min(self::MOST_FLOODED, (($this->setting + 0.5 - $bubble) / 3.0) * self::MOST_FLOODED))
            : 0.0;
    }

    /**
     * Share of the discharge gas that goes past the condenser.
     *
     * @param  float  $flooded  share the valve floods now
     * @param  float  $warmed  share of gas that would warm the condensate to saturation
     * @param  float  $short  how far the charge falls short of a liquid seal, 0 … 1: the valve still sends gas to
     *                        hold the head
     */
    public function bypassed(float $flooded, float $warmed, float $short): float
    {
        return min(
            0.6,
            $this->bypass +
                ($warmed * ($this->mixed + 0.4 * min(1.0, 12 * $short)) + 0.8 * $short) *
                    min(1.0, 2.0 * $flooded),
        );
    }

    public function lowered(float $kelvin): self
    {
        return $this->but(setting: $this->setting - $kelvin);
    }

    public function bypassing(float $share): self
    {
        return $this->but(bypass: $this->bypass + $share);
    }

    public function mixing(float $share): self
    {
        return $this->but(mixed: $this->mixed * $share);
    }
}
