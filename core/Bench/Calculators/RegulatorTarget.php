<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;

/** Pressure that an evaporator pressure regulator has to hold for the air that is wanted. */
final class RegulatorTarget implements Calculation
{
    /** Pa within which nothing is turned. */
    private const EVEN = 50.0;

    public function asks(): array
    {
        return [
            Input::refrigerant(),
            Input::temperature('target_supply_air_c', 'Target leaving air'),
            Input::difference('air_to_coil_k', 'Leaving air minus coil'),
            Input::gauge('measured_evaporator_pressure_kpa', 'Coil pressure'),
            Input::atmosphere(),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $coil = $given->of('target_supply_air_c') - $given->of('air_to_coil_k');
        $pressure = $given->gauge($given->dewPressure('target_supply_air_c', $coil));
        $measured = $given->dew('measured_evaporator_pressure_kpa');
        $change = $pressure - $given->of('measured_evaporator_pressure_kpa');
        $air = $measured + $given->of('air_to_coil_k');
        $way = match (true) {
            abs($change) < self::EVEN => 'leave',
            $change > 0.0 => 'raise',
            default => 'lower',
        };

        return new Answer(
            [
                Output::temperature('target_coil_c', 'Target coil (dew)', $coil),
                Output::gauge('target_pressure_kpa', 'Target coil pressure', $pressure),
                Output::amount('pressure_change_kpa', 'Change', QuantityKind::PressureDifference, $change),
                Output::temperature('measured_coil_c', 'Coil (dew) now', $measured),
                Output::temperature('expected_supply_air_now_c', 'Expected leaving air now', $air),
                Output::word('direction', 'EPR', $way),
            ],
            [
                "Target coil: {$given->degrees($given->of('target_supply_air_c'))} − ".
                    "{$given->kelvins($given->of('air_to_coil_k'))} = {$given->degrees($coil)} (dew).",
                "Pressure at that dew temperature: {$given->onGauge($pressure)}.",
                "Measured {$given->onGauge($given->of('measured_evaporator_pressure_kpa'))}: coil ".
                    "{$given->degrees($measured)} (dew), air about {$given->degrees($air)}.",
                $way === 'leave'
                    ? 'Setting is correct.'
                    : ucfirst($way)." it by {$given->text(abs($change), QuantityKind::PressureDifference)}.",
            ],
        );
    }
}
