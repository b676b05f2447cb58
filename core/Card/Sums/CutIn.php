<?php

declare(strict_types=1);

namespace Metrum\Card\Sums;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;

/** Cut-in of a pump-down control: its differential above the cut-out, where the coldest day still reaches that. */
final class CutIn implements Calculation
{
    /** Pa that two settings of a control may lie apart and be the same. */
    private const SAME = 1e3;

    public function asks(): array
    {
        return [
            Input::gauge('cut_out_kpa', 'Cut-out'),
            Input::number(
                'differential_kpa',
                'Control differential',
                QuantityKind::PressureDifference,
                0.0,
                2000.0,
            ),
            Input::gauge('at_most_kpa', 'Reached on the coldest day'),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $wanted = $given->of('cut_out_kpa') + $given->of('differential_kpa');
        $most = $given->of('at_most_kpa');

        return new Answer(
            [
                Output::gauge('kpa', 'Cut-in', min($wanted, $most)),
                Output::yes('fits', 'Reached on the coldest day', $wanted <= $most + self::SAME),
            ],
            [
                "Cut-out + differential = {$given->onGauge($wanted)}; ".
                    "coldest day reaches {$given->onGauge($most)}.",
            ],
        );
    }
}
