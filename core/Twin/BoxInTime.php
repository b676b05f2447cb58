<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Quantity\Celsius;

/** What stores heat and water in a box, step by step: air, product, walls, the coil's metal and the frost on it. */
final class BoxInTime
{
    private const MELTING = Celsius::ZERO;

    private const LATENT = 334e3;

    /** K */
    public float $air;

    /** K */
    public float $product;

    /** K */
    private float $walls;

    /** K of the coil's metal, where the fan delay feels it */
    public float $metal;

    /** kg on the coil */
    public float $frost = 0.0;

    private float $meltHeld = 0.0;

    private float $doorOpen = 0.0;

    /** kg of frost that leave half of the air. */
    private readonly float $halving;

    public function __construct(
        private readonly Machine $machine,
        private readonly Room $room,
        private readonly Controls $controls,
        private readonly float $ambient,
        float $box,
    ) {
        $this->air = $this->product = $this->metal = $box;
        $this->walls =
            $box + (0.4 * max(0.0, $ambient - $box) * $room->outside) / ($room->outside + $room->toWalls);
        $this->halving = (1.6 * $machine->design->cooling) / 4e3;
    }

    public function openDoor(float $seconds): void
    {
        $this->doorOpen = max($this->doorOpen, $seconds);
    }

    /** Share of the coil's air that the frost lets through. */
    public function openShare(): float
    {
        return 1 / (1 + ($this->frost / $this->halving) ** 1.5);
    }

    /** Share of the coil's transfer that the frost leaves. */
    public function transferShare(): float
    {
        return 1 / (1 + (0.25 * $this->frost) / $this->halving);
    }

    /** Off-cycle: air above freezing melts the coil through its fans. */
    public function meltInAir(float $step, bool $fans): void
    {
        if ($this->air > self::MELTING + 0.3 && $this->frost > 0.0) {
            $power =
                $this->machine->coil->transfer *
                0.5 *
                ($fans ? 1.0 : 0.15) *
                ($this->air - self::MELTING) *
                min(1.0, $this->frost / 0.2);
            $melted = min($this->frost, ($power * $step) / self::LATENT);
            $this->frost -= $melted * (1 - $this->controls->refreezes);
            $this->air -= ($melted * self::LATENT) / $this->room->air;
        }
    }

    /** The heater on: metal warms, frost melts at the freezing point, some of it runs where it freezes again. */
    public function heat(float $step): void
    {
        $power = $this->controls->heater;
        $capacity = (9e3 * $this->machine->design->cooling) / 1e3;
        $lost = ((6.0 * $this->machine->design->cooling) / 1e3) * ($this->metal - $this->air);
        if ($this->metal >= self::MELTING && $this->frost > 0.01) {
            $melted = min($this->frost, (max(0.0, $power - $lost) * 0.8 * $step) / self::LATENT);
            $this->frost -= $melted;
            $this->meltHeld += $melted * $this->controls->refreezes;
            $this->metal +=
                (0.2 * max(0.0, $power - $lost) * $step) /
                ($capacity + ((2e3 * self::LATENT) / 334e3) * $this->frost);
        } else {
            $this->metal += (($power - $lost) * $step) / ($capacity + 2100 * $this->frost);
        }
        $this->air += (0.25 * $power * $step) / ($this->room->air + 0.3 * $this->room->product);
    }

    /** Heat and moisture into the box, cold out of the coil. */
    public function warm(float $step, float $cooling, float $dew): void
    {
        $room = $this->room;
        $leak = $room->leakage + ($this->doorOpen > 0.0 ? $room->doorOpen : 0.0);
        $load =
            $room->toWalls * ($this->walls - $this->air) +
            $room->toProduct * ($this->product - $this->air) +
            $leak * ($this->ambient - $this->air) +
            $room->inside;
        $this->product -= ($room->toProduct * ($this->product - $this->air) * $step) / $room->product;
        $this->walls +=
            (($room->outside * ($this->ambient - $this->walls) - $room->toWalls * ($this->walls - $this->air)) *
                $step) /
            $room->walls;
        $this->air += (($load - 0.9 * $cooling) * $step) / $room->air;
        if ($cooling > 0.0) {
            $water = $room->moisture * ($leak / $room->leakage) * $step;
            $freezes = $dew < self::MELTING ? 1.0 : 0.0;
            $this->frost += $freezes * $water + $this->meltHeld;
            $this->meltHeld = 0.0;
        }
        $this->doorOpen = max(0.0, $this->doorOpen - $step);
    }
}
