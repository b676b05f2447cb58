<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\CannotBe;

/** Ratio of two absolute pressures of a running compressor. */
final class Ratio
{
    /** @throws CannotBe where the discharge is not above the suction */
    public static function of(float $discharge, float $suction): float
    {
        return $discharge >= $suction
            ? $discharge / $suction
            : throw CannotBe::at('discharge_pressure_kpa', 'below suction pressure');
    }
}
