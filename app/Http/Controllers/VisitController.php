<?php

namespace App\Http\Controllers;

use App\Models\Circuit;
use App\Models\HouseRule;
use App\Models\Visit;
use App\View\Stage;
use App\View\VisitPage;
use App\View\WhatIf;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final class VisitController extends Controller
{
    /** Starts a visit, or goes on with the one this person left open on the circuit. */
    public function store(Request $request, Circuit $circuit): RedirectResponse
    {
        $open = Visit::stillOpen()
            ->where('circuit_id', $circuit->id)
            ->where('user_id', $request->user()->id)
            ->latest('opened_at')
            ->first();
        $visit =
            $open ??
            $circuit->visits()->create([
                'user_id' => $request->user()->id,
                'opened_at' => now(),
                'house_rules' => HouseRule::inForce()->choices,
            ]);

        return redirect()->route('visits.show', [
            $visit,
            $open === null ? Stage::Complaint->value : Stage::Gauges->value,
        ]);
    }

    public function show(Request $request, Visit $visit, string $stage = 'complaint'): View
    {
        $this->authorize('view', $visit);

        return view('visit.show', [
            'page' => new VisitPage($visit, Stage::tryFrom($stage) ?? Stage::Complaint, $request->user()),
        ]);
    }

    /** What would change if it were done. */
    public function whatIf(Request $request, Visit $visit, string $question): View
    {
        $this->authorize('view', $visit);
        $page = new VisitPage($visit, Stage::Verdict, $request->user());
        $whatIf = new WhatIf($page);
        abort_unless(isset($whatIf->questions()[$question]), 404);

        return view('visit.what-if-answer', ['page' => $page, 'whatIf' => $whatIf, 'question' => $question]);
    }

    public function close(Visit $visit): RedirectResponse
    {
        $visit->update(['closed_at' => $visit->closed_at ?? now()]);

        return redirect()->route('visits.report', $visit);
    }

    /** Marks the visit as one at which the plant ran well, or takes the mark off. */
    public function ranWell(Visit $visit): RedirectResponse
    {
        $visit->update(['ran_well_at' => $visit->ranWell() ? null : now()]);

        return redirect()
            ->route('visits.show', [$visit, Stage::Leave->value])
            ->with(
                'said',
                $visit->ranWell()
                    ? 'Marked. Later visits of this circuit are compared with this one.'
                    : 'The mark is off.',
            );
    }

    public function reopen(Visit $visit): RedirectResponse
    {
        $visit->update(['closed_at' => null]);

        return redirect()->route('visits.show', [$visit, Stage::Verdict->value]);
    }
}
