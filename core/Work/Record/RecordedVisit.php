<?php

declare(strict_types=1);

namespace Metrum\Work\Record;

/** One visit in the record of its circuit. */
final readonly class RecordedVisit
{
    /** @param  bool  $ranWell  somebody marked it: here it ran as it should */
    public function __construct(public string $id, public bool $ranWell, public Departures $departures)
    {
    }
}
