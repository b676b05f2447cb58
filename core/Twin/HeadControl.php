<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Installation\HeadPressureControl;
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

    /** Share of the condenser that a valve stuck between its ports holds full, for each share of gas it lets past. */
    private const HELD_BACK = 1.6;

    /** Gas that a sealed receiver can swallow, of what would warm the condensate to saturation. */
    private const SWALLOWED = 0.95;

    /**
     * @param  float  $setting  saturated condensing (bubble, K) that is held
     * @param  float  $mixed  how far the bypass warms the condensate towards saturation, 0 … 1
     * @param  float  $most  share of the condenser that it can hold full of liquid
     * @param  float  $bypass  share of the gas that passes the condenser although it should not (fault), 0 … 1
     */
    public function __construct(
        public HeadPressureControl $kind,
        public float $setting,
        public float $bypass = 0.0,
        public float $mixed = 0.7,
        public float $most = self::MOST_FLOODED,
    ) {
    }

    /** Share of the condenser's air that moves, 0.06 … 1. @param  float  $bubble  condensing, K */
    public function air(float $bubble): float
    {
        return match ($this->kind) {
            HeadPressureControl::FanSpeed, HeadPressureControl::WaterValve => max(
                0.06,
                min(1.0, ($bubble - $this->setting + 3.0) / 4.0),
            ),
            HeadPressureControl::FanCycling => max(0.06, min(1.0, ($bubble - $this->setting + 4.0) / 6.0)),
            HeadPressureControl::None, HeadPressureControl::FloodingValve => 1.0,
        };
    }

    /** Share of the condenser that the valve holds full of liquid, 0 … 0.93. @param  float  $bubble  condensing, K */
    public function flooded(float $bubble): float
    {
        return max($this->called($bubble), min($this->most, self::HELD_BACK * $this->bypass));
    }

    /** The same by a valve that follows its setting. */
    public function called(float $bubble): float
    {
        return $this->kind === HeadPressureControl::FloodingValve
            ? max(0.0, min($this->most, (($this->setting + 0.5 - $bubble) / 3.0) * $this->most))
            : 0.0;
    }

    /**
     * Share of the discharge gas that goes past the condenser.
     *
     * A valve stuck between its ports lets gas past as long as the receiver can take it: what the cold condensate does
     * not swallow raises the receiver's pressure until no more comes. Only without a liquid seal does all of it pass.
     *
     * @param  float  $flooded  share the valve floods now because its setting calls for it
     * @param  float  $warmed  share of gas that would warm the condensate to saturation
     * @param  float  $short  how far the charge falls short of a liquid seal, 0 … 1: the valve still sends gas to
     *                        hold the head
     */
    public function bypassed(float $flooded, float $warmed, float $short): float
    {
        return min(
            0.6,
            min($this->bypass, self::SWALLOWED * $warmed + 0.8 * $short) +
                ($warmed * ($this->mixed + 0.4 * min(1.0, 12 * $short)) + 0.8 * $short) *
                    min(1.0, 2.0 * $flooded),
        );
    }

    public function lowered(float $kelvin): self
    {
        return $this->but(setting: $this->setting - $kelvin);
    }

    /** @param  float  $setting  saturated condensing (bubble, K) */
    public function set(float $setting): self
    {
        return $this->but(setting: $setting);
    }

    /** The same on a condenser of which it can hold so much full of liquid. */
    public function flooding(float $most): self
    {
        return $this->but(most: $most);
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
