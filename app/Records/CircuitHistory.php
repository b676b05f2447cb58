<?php

namespace App\Records;

use App\Models\Circuit;
use App\Models\Visit;

/** The visits of one circuit, newest first, each with what it ended on. */
final class CircuitHistory
{
    /** @var list<VisitOutcome> */
    public readonly array $visits;

    public function __construct(Circuit $circuit, int $most = 12)
    {
        $this->visits = array_values(
            $circuit
                ->visits()
                ->with('user')
                ->limit($most)
                ->get()
                ->map(
                    static fn (Visit $visit): VisitOutcome => new VisitOutcome(
                        $visit->setRelation('circuit', $circuit),
                    ),
                )
                ->all(),
        );
    }

    /** The last visit at which anything was found. */
    public function latest(): ?VisitOutcome
    {
        foreach ($this->visits as $outcome) {
            if (! $outcome->verdict->blank) {
                return $outcome;
            }
        }

        return null;
    }
}
