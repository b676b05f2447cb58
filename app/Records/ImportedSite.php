<?php

namespace App\Records;

use App\Models\Site;
use Metrum\Quantity\Atmosphere;

/** The site under which plants stand that only a file tells of: one for each altitude. */
final class ImportedSite
{
    /** m by which a site may lie off and still be at sea level. */
    private const NEAR_SEA_LEVEL = 3.0;

    public static function at(Atmosphere $air): Site
    {
        $altitude = round($air->altitude(), 2);

        return Site::query()->firstOrCreate(
            [
                'name' => 'Imported visits',
                'altitude_m' => abs($altitude) < self::NEAR_SEA_LEVEL ? 0.0 : $altitude,
            ],
            ['place' => 'Visits imported from files'],
        );
    }
}
