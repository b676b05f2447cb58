<?php

declare(strict_types=1);

namespace Metrum\Card\Sums;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;

/**
 * Share of the discharge gas that a head pressure valve sends past the condenser, by how much warmer the liquid stands
 * after the receiver than it drained from the condenser: h(receiver) = x · h(gas) + (1 − x) · h(drain). It holds where
 * what leaves the receiver is liquid.
 */
final class BypassShare implements Calculation
{
    /** K over saturation that discharge gas has where nobody clamped its line. */
    private const USUAL_GAS = 30.0;

    public function asks(): array
    {
        return [
            Input::refrigerant(),
            Input::gauge('condensing_kpa', 'Discharge pressure'),
            Input::temperature('drain_c', 'Liquid leaving the condenser'),
            Input::temperature('receiver_c', 'Liquid leaving the receiver'),
            Input::temperature('discharge_c', 'Discharge line')->orNone(),
            Input::atmosphere(),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $fluid = $given->refrigerant();
        $pressure = $given->absolute('condensing_kpa');
        [$bubble, $dew] = [$given->bubble('condensing_kpa'), $given->dew('condensing_kpa')];
        $gas = $given->has('discharge_c') ? max(0.0, $given->of('discharge_c') - $dew) : self::USUAL_GAS;
        $hot = $given->within('discharge_c', static fn (): float => $fluid->vapourEnthalpy($dew, $gas));
        $liquid = static fn (string $key): float => $given->within(
            $key,
            static fn (): float => $fluid->liquidEnthalpy(min($given->of($key), $bubble)),
        );
        $drain = $liquid('drain_c');
        $share = max(0.0, ($liquid('receiver_c') - $drain) / max(1.0, $hot - $drain));

        return new Answer(
            [Output::percent('share_percent', 'Gas past the condenser', $share)],
            [
                "{$given->degrees($given->of('drain_c'))} drained, ".
                    "{$given->degrees($given->of('receiver_c'))} after the receiver at ".
                    "{$given->onGauge($given->gauge($pressure))}: {$given->percent($share)} of the gas.",
            ],
        );
    }
}
