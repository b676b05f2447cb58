<?php

namespace App\View;

use Metrum\Diagnosis\Cautions;
use Metrum\Installation\Circuit;
use Metrum\Installation\LoadKind;
use Metrum\Knowledge\Station;

/** Cautions that belong to a station, before hands go there. */
final class StationCautions
{
    /** @return list<string> */
    public static function of(Station $station, Circuit $circuit): array
    {
        $own = Cautions::ofRefrigerant($circuit->refrigerant);
        $atBox = $circuit->cools(LoadKind::IceMachine)
            ? ['food_contact', 'wet_electric', ...$circuit->makesBatches() ? ['hot_gas'] : ['fans_lockout']]
            : ['wet_floor', 'fans_lockout'];

        return match ($station) {
            Station::Box => Cautions::words($atBox),
            Station::Unit => Cautions::words(['hot_surface', 'fans_lockout']),
            Station::Gauges => [...$own, ...Cautions::words(['hoses', 'licence'])],
            Station::Verdict => Cautions::words(['put_back']),
            Station::Complaint, Station::PutRight, Station::Prove, Station::Leave => [],
        };
    }
}
