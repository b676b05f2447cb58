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
            Input::temperature('target_supply_air_c', 'Leaving air wanted'),
            Input::difference('air_to_coil_k', 'Leaving air above the coil'),
            Input::gauge('measured_evaporator_pressure_kpa', 'Pressure at the coil'),
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
                Output::temperature('target_coil_c', 'Coil (dew) wanted', $coil),
                Output::gauge('target_pressure_kpa', 'Pressure wanted', $pressure),
                Output::amount('pressure_change_kpa', 'Change', QuantityKind::PressureDifference, $change),
                Output::temperature('measured_coil_c', 'Coil (dew) now', $measured),
                Output::temperature('expected_supply_air_now_c', 'Leaving air expected now', $air),
                Output::word('direction', 'Regulator', $way),
            ],
            [
                "Coil wanted: {$given->degrees($given->of('target_supply_air_c'))} less ".
                    "{$given->kelvins($given->of('air_to_coil_k'))} are {$given->degrees($coil)}.",
                "There the gas has {$given->onGauge($pressure)} (dew).",
                "Read were {$given->onGauge($given->of('measured_evaporator_pressure_kpa'))}: coil ".
                    "{$given->degrees($measured)}, air about {$given->degrees($air)}.",
                $way === 'leave'
                    ? 'It is where it ought to be.'
                    : ucfirst($way)." it by {$given->text(abs($change), QuantityKind::PressureDifference)}.",
            ],
        );
    }
}
