<?php

declare(strict_types=1);

namespace Metrum\Quantity;

/** The air pressure at a site, Pa absolute: what a gauge's zero stands for. */
final readonly class Atmosphere
{
    public const SEA_LEVEL = 101325.0;

    private function __construct(public float $pascal)
    {
    }

    /**
     * Standard atmosphere: p = 101325·(1 − 2.25577e-5·h)^5.25588 (International Standard Atmosphere, troposphere).
     *
     * @param  float  $metres  height above sea level, −500 … 6000 m
     *
     * @throws NotAQuantity outside that range
     */
    public static function atAltitude(float $metres): self
    {
        if ($metres < -500 || $metres > 6000) {
            throw NotAQuantity::outside('elevation', $metres.' m', '−500 to 6000 m');
        }

        return new self(self::SEA_LEVEL * (1 - 2.25577e-5 * $metres) ** 5.25588);
    }

    /**
     * @param  float  $pascal  Pa absolute, 47 000 … 108 000: from 6 000 m up to 500 m below the sea
     *
     * @throws NotAQuantity outside that range
     */
    public static function of(float $pascal): self
    {
        if ($pascal < 47e3 || $pascal > 108e3) {
            throw NotAQuantity::outside(
                'atmospheric pressure',
                round($pascal / 1e3, 2).' kPa abs',
                '47 to 108 kPa abs',
            );
        }

        return new self($pascal);
    }

    /** Height above sea level (m) with this standard atmosphere, −500 … 6000. */
    public function altitude(): float
    {
        $height = (1 - ($this->pascal / self::SEA_LEVEL) ** (1 / 5.25588)) / 2.25577e-5;

        return max(-500.0, min(6000.0, $height));
    }

    /** Absolute pressure (Pa) of a gauge reading (Pa). */
    public function absolute(float $gauge): float
    {
        return $gauge + $this->pascal;
    }

    /** Gauge reading (Pa) of an absolute pressure (Pa). */
    public function gauge(float $absolute): float
    {
        return $absolute - $this->pascal;
    }
}
