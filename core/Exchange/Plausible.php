<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Circuit\Reading;
use Metrum\Quantity\Atmosphere;
use Metrum\Quantity\Format;
use Metrum\Quantity\Kind;
use Metrum\Quantity\Unit;

/** Whether a reading can exist at all. The same guard stands before forms, files and probes. */
final class Plausible
{
    /** Why the value (SI, gauge Pa for pressures) cannot be; null where it can. */
    public static function refusal(
        Reading $reading,
        float $si,
        Atmosphere $atmosphere,
        ?Unit $shownIn = null,
    ): ?string {
        $unit = $shownIn ?? $reading->fileUnit();
        [$least, $most] = $reading->span();
        $why = '';
        if ($reading->quantity() === Kind::GaugePressure) {
            $least = -$atmosphere->pascal;
            $why = 'absolute vacuum at this site is the lowest; ';
        }
        if ($reading->quantity() === Kind::Count && floor($si) !== $si) {
            return 'a whole number is wanted';
        }
        // A limit given in another unit is still the limit.
        if (! is_nan($si) && $si >= $least - 1e-6 && $si <= $most + 1e-6) {
            return null;
        }
        if ($unit === Unit::InchMercuryVacuum) {
            [$least, $most] = [0.0, -$unit->fromSi(1.0) * $atmosphere->pascal];

            return $why.'possible is 0 to '.Format::number(abs($most), 1).' '.$unit->symbol();
        }

        return $why.
            'possible is '.
            Format::number($unit->fromSi($least), 1).
            ' to '.
            Format::number($unit->fromSi($most), 1).
            ' '.
            $unit->symbol();
    }
}
