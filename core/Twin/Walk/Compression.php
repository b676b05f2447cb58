<?php

declare(strict_types=1);

namespace Metrum\Twin\Walk;

use Metrum\Installation\UsualCompressor;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Refrigerant\Saturation;
use Metrum\Twin\Loop;

/** Through the compressor: loss-free work by entropy, then the real one. SI. */
final class Compression
{
    /** J/kg: less would be no compression. */
    private const LEAST_WORK = 2e3;

    /** K of superheat over which the hot gas's specific heat is taken, and up to which its table is asked. */
    private const OVER = 25.0;

    private const MOST_SUPERHEAT = 118.0;

    public float $ratio = 1.0;

    /** W at the shaft. */
    public float $shaft = 0.0;

    /** J/kg of the gas as it leaves. */
    public float $enthalpy = 0.0;

    /** kg/s that it delivers. */
    public float $pumped = 0.0;

    /** @throws OutsideTable */
    public function walk(Loop $loop): void
    {
        $machine = $loop->machine;
        $suction = $loop->suction;
        $discharge = $loop->condensing->pressure + $machine->inert;
        $this->ratio = max(1.05, $discharge / $suction->pressure);
        $ideal = $this->reached($loop, $discharge) - $suction->enthalpy;
        $work = $machine->compressor->work(max(self::LEAST_WORK, $ideal), $this->ratio);
        $this->shaft = $loop->coil->returnFlow * $work;
        $this->enthalpy = $suction->enthalpy + $work * (1 - UsualCompressor::SHELL_LOSS);
        $this->pumped = $machine->compressor->massFlow($suction->density, $this->ratio);
    }

    /** Enthalpy (J/kg) at which the suction gas's entropy is met at the discharge pressure. */
    private function reached(Loop $loop, float $discharge): float
    {
        $table = $loop->condensing->table;
        $foreign = $loop->machine->inert > 0.0;
        $dew = $foreign ? $table->dewTemperature($discharge) : $loop->condensing->dew;
        $vapour = $foreign ? $table->at(Saturation::VAPOUR_ENTHALPY, $dew) : $loop->condensing->vapour;
        $entropy = $loop->suction->entropy;
        $saturated = $table->at(Saturation::VAPOUR_ENTROPY, $dew);
        if ($entropy <= $saturated) {
            return $vapour - $dew * ($saturated - $entropy);
        }
        $fluid = $loop->machine->fluid;
        [, $warm] = $fluid->vapourState($dew, self::OVER);
        $specific = ($warm - $vapour) / self::OVER;
        $above = min(self::MOST_SUPERHEAT, $dew * (exp(($entropy - $saturated) / $specific) - 1));
        [, $near, $entropyThere] = $fluid->vapourState($dew, $above);

        return $near + ($dew + $above) * ($entropy - $entropyThere);
    }
}
