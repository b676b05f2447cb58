<?php

namespace App\View;

use Metrum\Diagnosis\Cautions;
use Metrum\Knowledge\Station;

/** Cautions that belong to a station, before hands go there. */
final class StationCautions
{
    /** @return list<string> */
    public static function of(Station $station, string $refrigerant): array
    {
        $own = Cautions::ofRefrigerant($refrigerant);

        return match ($station) {
            Station::Box => Cautions::words(['wet_floor', 'fans_lockout']),
            Station::Unit => Cautions::words(['hot_surface', 'fans_lockout']),
            Station::Gauges => [...$own, ...Cautions::words(['hoses', 'licence'])],
            Station::Verdict => Cautions::words(['put_back']),
            Station::Complaint, Station::PutRight, Station::Prove, Station::Leave => [],
        };
    }
}
