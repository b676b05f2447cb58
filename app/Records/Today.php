<?php

namespace App\Records;

use App\Models\FollowUp;
use App\Models\Visit;
use Illuminate\Support\Collection;

/** What waits today: visits still open, follow-ups due, circuits whose last visit left something wrong. */
final readonly class Today
{
    private const MOST = 12;

    private const LOOKS = 6;

    /** @return Collection<int, Visit> */
    public function openVisits(): Collection
    {
        return Visit::stillOpen()
            ->with('circuit.site', 'circuit.plant', 'user')
            ->latest('opened_at')
            ->limit(self::MOST)
            ->get();
    }

    /** @return Collection<int, FollowUp> */
    public function followUps(): Collection
    {
        return FollowUp::query()
            ->whereNull('done_at')
            ->with('circuit.site')
            ->orderBy('due_on')
            ->limit(self::MOST)
            ->get();
    }

    /**
     * Last closed visits of circuits that ended with a fault still leading, worst first.
     *
     * @return Collection<int, Visit> with what each came to
     */
    public function needingALook(): Collection
    {
        return Visit::query()
            ->select('visits.*')
            ->join('verdicts', 'verdicts.visit_id', '=', 'visits.id')
            ->where('verdicts.needs_a_look', true)
            ->whereNotNull('visits.closed_at')
            ->whereNotExists(
                static fn ($later) => $later
                    ->from('visits', 'later')
                    ->whereColumn('later.circuit_id', 'visits.circuit_id')
                    ->whereColumn('later.opened_at', '>', 'visits.opened_at')
                    ->whereNotNull('later.closed_at'),
            )
            ->orderByDesc('verdicts.probability')
            ->limit(self::LOOKS)
            ->with('circuit.site', 'verdict')
            ->get();
    }
}
