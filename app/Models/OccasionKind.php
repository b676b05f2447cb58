<?php

namespace App\Models;

/** Why facts were made. */
enum OccasionKind: string
{
    /** Somebody was there. */
    case Visit = 'visit';
    /** A day of a ledger that was taken in: nobody's look. */
    case Ledger = 'ledger';
}
