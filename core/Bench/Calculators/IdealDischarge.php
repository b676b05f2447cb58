<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\CannotBe;
use Metrum\Bench\Inputs;

/** Temperature of the gas after compression without any loss. */
final class IdealDischarge
{
    /**
     * @param  string  $key  input of the return gas
     * @return float K
     *
     * @throws CannotBe
     */
    public static function of(Inputs $given, string $key): float
    {
        $dew = $given->dew('suction_pressure_kpa');
        $superheat = $given->of($key) - $dew;
        if ($superheat < 0.0) {
            throw CannotBe::at(
                $key,
                "colder than the dew temperature there, {$given->degrees($dew)}: liquid is returning",
            );
        }
        $discharge = $given->absolute('discharge_pressure_kpa');
        Ratio::of($discharge, $given->absolute('suction_pressure_kpa'));
        $ideal = $given->within(
            $key,
            static fn (): array => $given->refrigerant()->isentropicDischarge($dew, $superheat, $discharge),
        );

        return $ideal['temperature'];
    }
}
