<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;

/** Refrigerant that floods the condenser in winter. */
final class WinterFloodingCharge implements Calculation
{
    public function asks(): array
    {
        return [
            Input::refrigerant(),
            Input::fraction('flooded_fraction', 'Condenser flooded'),
            Input::volume('condenser_internal_volume_l', 'Condenser volume'),
            Input::temperature('flooding_temperature_c', 'Flooding liquid temperature'),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        [$held, $liquid, $vapour] = Flooding::held($given, 'flooded_fraction', 'flooding_temperature_c');

        return new Answer(
            [
                Output::amount('liquid_density_kg_m3', 'Liquid density', QuantityKind::Density, $liquid),
                Output::amount('vapour_density_kg_m3', 'Vapour density', QuantityKind::Density, $vapour),
                Output::mass('winter_charge_kg', 'Winter charge', $held),
            ],
            [
                sprintf(
                    'At %s: liquid %s kg/m³ (bubble), vapour %s kg/m³ (dew).',
                    $given->degrees($given->of('flooding_temperature_c')),
                    $given->number($liquid, 1),
                    $given->number($vapour, 1),
                ),
                sprintf(
                    '%s of %s filled with liquid instead of vapour: %s.',
                    $given->percent($given->of('flooded_fraction')),
                    $given->text($given->of('condenser_internal_volume_l'), QuantityKind::Volume),
                    $given->kilograms($held),
                ),
            ],
        );
    }
}
