<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\Observation;
use Metrum\Circuit\Reading;
use Metrum\Findings\Derived;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;

/** Before refrigerant is ever advised: subcooling, or level and glass; airflow on both sides; the drier (N-01). */
final class ChargeGate
{
    /** @return list<string> what still has to be looked at; empty where the gate is open */
    public static function missing(Findings $findings, Figures $figures): array
    {
        $missing = [];
        $seal =
            $figures->value(Derived::Subcooling) !== null ||
            ($findings->reading(Reading::ReceiverLevel) !== null &&
                $findings->observed(Observation::SightGlass) !== null);
        if (! $seal) {
            $missing[] = 'subcooling, or receiver level and glass';
        }
        if (
            $findings->observed(Observation::EvaporatorFans) === null ||
            ($findings->observed(Observation::EvaporatorFace) === null &&
                $findings->observed(Observation::FrostCoil) === null)
        ) {
            $missing[] = 'coil: fans and face';
        }
        if (
            $findings->observed(Observation::CondenserFans) === null ||
            $findings->observed(Observation::CondenserFace) === null
        ) {
            $missing[] = 'condenser: fans and face';
        }
        if (
            $figures->value(Derived::DrierDrop) === null &&
            $findings->reading(Reading::DrierDrop) === null &&
            $findings->observed(Observation::LiquidLineFeel) === null
        ) {
            $missing[] = 'drier: drop or feel';
        }

        return $missing;
    }
}
