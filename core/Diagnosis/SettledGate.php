<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\HouseRules;
use Metrum\Circuit\Reading;
use Metrum\Circuit\State;
use Metrum\Findings\Derived;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Quantity\Format;

/** Whether the readings may be judged, and which condition fails where they may not (G-13). */
final class SettledGate
{
    /** @return list<string> the conditions that fail, in words; empty where settled */
    public static function failing(Findings $findings, Figures $figures, HouseRules $rules): array
    {
        $failing = [];
        if ($findings->state === null) {
            $failing[] = 'nobody has said whether it is settled';
        } elseif ($findings->state !== State::RunningSettled) {
            $failing[] = 'the plant is '.mb_strtolower($findings->state->label());
        }
        $since = $findings->reading(Reading::MinutesSinceDisturbance);
        $wait = $rules->band($findings->state === State::AfterDefrost ? 'settle_defrost' : 'settle_start')->low;
        if ($since !== null && $since < 60 * $wait) {
            $failing[] =
                Format::number($since / 60, 0).
                ' min since the last disturbance (at least '.
                Format::number($wait, 0).
                ')';
        }
        $above = $figures->value(Derived::BoxAboveSetPoint);
        if ($above !== null && $above > 5.0) {
            $failing[] =
                'box '.Format::number($above, 1).' K above set point, so superheat and head read high';
        }

        return $failing;
    }
}
