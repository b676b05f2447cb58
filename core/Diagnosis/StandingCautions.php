<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\BoxState;
use Metrum\Findings\Findings;
use Metrum\Installation\PlantAge;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;

/** Cautions that stand because of what was found, whatever is wrong: a trip, a warm box, a wet floor, a vacuum. */
final class StandingCautions
{
    /** K above its set point from which food may have stood warm. */
    private const WARM = 5.0;

    /** @return list<string> keys of data/cautions.json */
    public static function in(Findings $findings): array
    {
        $suction = $findings->reading(Reading::SuctionPressure);

        return array_keys(
            array_filter([
                'no_bypass' => $findings->observed(Observation::Compressor)?->stop()?->isTrip() === true ||
                    $findings->tripped !== null,
                'food' => (BoxState::above($findings) ?? 0.0) > self::WARM,
                'wet_floor' => in_array(Complaint::WaterLeak, $findings->complaints, true),
                'vacuum_limit' => $suction !== null && $suction < 0.0,
                'warranty' => $findings->circuit->ice->age === PlantAge::New,
                'trapped_liquid' => $findings->tested(Test::CircuitIsolated) !== null,
            ]),
        );
    }
}
