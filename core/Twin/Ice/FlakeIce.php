<?php

declare(strict_types=1);

namespace Metrum\Twin\Ice;

use Metrum\Installation\Circuit;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\Water;
use Metrum\Twin\Expected;
use Metrum\Twin\Surroundings;
use Metrum\Twin\Twin;

/**
 * A flake ice machine: it settles, so its loop is that of the plain twin, at a barrel whose temperature hardly depends
 * on the water. What it makes is its cooling by what a kilogram of ice takes: the water cooled to freezing, and what of
 * it freezes. Two rated points, where they are known, say how it falls off as the air warms.
 */
final readonly class FlakeIce
{
    /** Air and water of the rated points. */
    private const COOL = [Celsius::ZERO + 21.0, Celsius::ZERO + 10.0];

    private const HOT = [Celsius::ZERO + 32.0, Celsius::ZERO + 21.0];

    /** Share of flake ice that is unfrozen water, where nobody measured it. */
    private const MOISTURE = 0.22;

    /** Shares by which a day is off: by one rated point, by two, and where no plate says anything. */
    private const ONE = 0.09;

    private const TWO = 0.06;

    private const NONE = 0.25;

    /** Share of the cooling of a plain twin that freezes water, where no plate says what it makes. */
    private const FREEZES = 0.8;

    private const DAY = 86_400.0;

    public function __construct(private Circuit $circuit, private Twin $twin)
    {
    }

    /**
     * kg a day as it should make; null where its loop does not run in that air.
     *
     * @param  float  $air  K
     * @param  float  $water  K of the water that enters
     * @param  ?float  $moisture  share that is unfrozen; null: as usual
     */
    public function perDay(float $air, float $water, ?float $moisture = null): ?Expected
    {
        $takes = self::takes($water, $moisture ?? self::MOISTURE);
        $design = $this->circuit->design;
        $cooling = $this->cooling($air);
        if ($cooling === null) {
            return null;
        }
        $rated = $design->icePerDay;
        $reference = $rated === null ? null : $this->cooling(self::COOL[0]);
        if ($rated === null || $reference === null) {
            $day = self::FREEZES * $cooling * self::DAY / $takes;

            return new Expected($day, self::NONE * $day);
        }
        // What a plate says of two weathers is ice of usual moisture.
        $cool = $rated * self::takes(self::COOL[1], self::MOISTURE);
        $hot = $design->icePerDayHot === null
            ? null
            : $design->icePerDayHot * self::takes(self::HOT[1], self::MOISTURE);
        $heat = $hot === null
            ? $cool * $cooling / $reference
            : $cool + ($hot - $cool) * ($air - self::COOL[0]) / (self::HOT[0] - self::COOL[0]);
        $day = max(0.0, $heat) / $takes;

        return new Expected($day, ($hot === null ? self::ONE : self::TWO) * $day);
    }

    /** J that a kilogram takes. */
    private static function takes(float $water, float $moisture): float
    {
        return Water::WARMTH * max(0.0, $water - Celsius::ZERO) + (1 - $moisture) * Water::LATENT;
    }

    /** W of the loop at its barrel. */
    private function cooling(float $air): ?float
    {
        $box = $this->circuit->design->boxSetPoint ?? $this->twin->machine->design->box;
        $state = $this->twin->at(new Surroundings($air, $box, atmosphere: $this->circuit->atmosphere->pascal));

        return $state->runs() ? $state->cooling : null;
    }
}
