<?php

namespace App\Records;

use App\Models\FollowUp;
use App\Models\OccasionKind;
use App\Models\Site;
use App\Models\Visit;
use Illuminate\Contracts\Pagination\LengthAwarePaginator;

/** What waits today: visits still open, follow-ups due, circuits whose last visit left something wrong. */
final readonly class Today
{
    /** What a page of each list holds; the rest is on its next pages. */
    private const MOST = 12;

    private const LOOKS = 8;

    private const SITES = 40;

    /** @return LengthAwarePaginator<int, Visit> */
    public function openVisits(): LengthAwarePaginator
    {
        return Visit::stillOpen()
            ->with('circuit.site', 'circuit.plant', 'user')
            ->latest('opened_at')
            ->paginate(self::MOST, pageName: 'open');
    }

    /**
     * What is promised, and what was done today, so that a wrong tap can be taken back.
     *
     * @return LengthAwarePaginator<int, FollowUp>
     */
    public function followUps(): LengthAwarePaginator
    {
        return FollowUp::query()
            ->where(static fn ($open) => $open->whereNull('done_at')->orWhere('done_at', '>=', now()->startOfDay()))
            ->with('circuit.site')
            ->orderByRaw('done_at is not null')
            ->orderBy('due_on')
            ->paginate(self::MOST, pageName: 'promised');
    }

    /** @return LengthAwarePaginator<int, Site> */
    public function sites(): LengthAwarePaginator
    {
        return Site::query()->withCount('circuits')->orderBy('name')->paginate(self::SITES, pageName: 'sites');
    }

    /**
     * Last closed visits of circuits that ended with a fault still leading, worst first.
     *
     * @return LengthAwarePaginator<int, Visit> with what each came to
     */
    public function needingALook(): LengthAwarePaginator
    {
        return Visit::query()
            ->select('occasions.*')
            ->join('verdicts', 'verdicts.visit_id', '=', 'occasions.id')
            ->where('verdicts.needs_a_look', true)
            ->whereNotNull('occasions.closed_at')
            ->whereNotExists(
                static fn ($later) => $later
                    ->from('occasions', 'later')
                    ->whereColumn('later.circuit_id', 'occasions.circuit_id')
                    ->whereColumn('later.opened_at', '>', 'occasions.opened_at')
                    ->whereNotNull('later.closed_at')
                    // A day of a ledger is nobody's look.
                    ->where('later.kind', OccasionKind::Visit->value),
            )
            ->orderByDesc('verdicts.probability')
            ->with('circuit.site', 'verdict')
            ->paginate(self::LOOKS, pageName: 'looks');
    }
}
