<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Rack;

use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Installation\Branch;
use Metrum\Knowledge\Fault;

/** Faults of one circuit of a rack that stand on words alone. */
final class RackFaults
{
    /** Of a sound circuit's chance, that of a fault that is met as often as one in the catalogue's hundred. */
    private const MET = 0.004;

    /** @return list<Fault> */
    public static function uncarried(Branch $branch): array
    {
        $defrost = $branch->load->defrost;
        $isHeated = $defrost === null || $defrost->isHeated();

        return [
            Fault::DrainBlocked,
            Fault::DefrostClockWrong,
            Fault::DefrostTooFew,
            Fault::ValveHunting,
            ...$isHeated ? [Fault::DefrostHeaterFailed, Fault::DefrostNotTerminating] : [],
            ...$branch->load->control?->isByThermostat() === false ? [] : [Fault::ThermostatWrong],
            ...$branch->load->kind?->isLowTemperature() === true ? [Fault::FanDelayHolding] : [],
        ];
    }

    /** Of a sound circuit's chance. */
    public static function prior(Fault $fault): float
    {
        return self::MET * FaultCatalogue::entry($fault)->prior;
    }
}
