<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\CannotBe;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;

/** What went in and out, and what is in the plant now. */
final class RefrigerantLedger implements Calculation
{
    public function asks(): array
    {
        return [
            Input::mass('cylinder_before_kg', 'Cylinder before'),
            Input::mass('cylinder_after_kg', 'Cylinder after'),
            Input::mass('recovered_kg', 'Recovered'),
            Input::mass('system_charge_before_kg', 'Charge before'),
            Input::number('nameplate_charge_kg', 'Nameplate charge', QuantityKind::Mass, 0.01, 100_000.0),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $added = $given->of('cylinder_before_kg') - $given->of('cylinder_after_kg');
        if ($added < 0.0) {
            throw CannotBe::at(
                'cylinder_after_kg',
                'more than before; enter recovered refrigerant under Recovered',
            );
        }
        $after = $given->of('system_charge_before_kg') + $added - $given->of('recovered_kg');
        if ($after < 0.0) {
            throw CannotBe::at('recovered_kg', 'more than was in the system');
        }
        $over = $after / $given->of('nameplate_charge_kg') - 1;

        return new Answer(
            [
                Output::mass('added_kg', 'Added', $added),
                Output::mass('system_charge_after_kg', 'Charge now', $after),
                Output::percent('over_nameplate_percent', 'Over nameplate charge', $over),
            ],
            [
                "Out of the cylinder: {$given->kilograms($added)}.",
                "Charge now: {$given->kilograms($given->of('system_charge_before_kg'))} + ".
                    "{$given->kilograms($added)} − {$given->kilograms($given->of('recovered_kg'))} = ".
                    "{$given->kilograms($after)}.",
                $over >= 0.0
                    ? "{$given->percent($over, 1)} over nameplate charge."
                    : "{$given->percent(-$over, 1)} under nameplate charge.",
            ],
        );
    }
}
