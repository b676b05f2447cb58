<?php

namespace App\Records;

use App\Models\FollowUp;
use App\Models\Visit;
use Illuminate\Support\Collection;
use Metrum\Circuit\Fault;

/** What waits today: visits still open, follow-ups due, circuits whose last visit left something wrong. */
final readonly class Today
{
    /** @return Collection<int, Visit> */
    public function openVisits(): Collection
    {
        return Visit::stillOpen()->with('circuit.site', 'user')->latest('opened_at')->limit(12)->get();
    }

    /** @return Collection<int, FollowUp> */
    public function followUps(): Collection
    {
        return FollowUp::query()
            ->whereNull('done_at')
            ->with('circuit.site')
            ->orderBy('due_on')
            ->limit(12)
            ->get();
    }

    /**
     * Circuits whose last closed visit ended with a fault still leading, worst first, with that verdict.
     *
     * @return list<VisitOutcome>
     */
    public function needingALook(): array
    {
        $latest = Visit::query()
            ->whereNotNull('closed_at')
            ->latest('opened_at')
            ->with('circuit.site')
            ->limit(60)
            ->get()
            ->unique('circuit_id')
            ->take(24);
        $rows = [];
        foreach ($latest as $visit) {
            $outcome = new VisitOutcome($visit);
            $first = $outcome->verdict->first();
            if (
                ! $outcome->isProven() &&
                ! $outcome->verdict->blank &&
                $first->fault !== Fault::NoFault &&
                $first->probability > 0.4
            ) {
                $rows[] = $outcome;
            }
        }
        usort(
            $rows,
            static fn (VisitOutcome $a, VisitOutcome $b): int => $b->probability() <=> $a->probability(),
        );

        return array_slice($rows, 0, 6);
    }
}
