<?php

namespace App\Http\Controllers;

use App\Models\Circuit;
use App\Models\Visit;
use App\Records\Judge;
use App\Records\SecondLook;
use App\View\VisitPage;
use App\View\WhatIfPage;
use App\View\WhyPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Metrum\Knowledge\Station;
use Metrum\Log\Kinds\LeftOpen;
use Metrum\Twin\TwinQuestion;
use Metrum\Work\OpenTouches;

final class VisitController extends Controller
{
    /** Starts a visit, or goes on with the one this person left open on the circuit. */
    public function store(Request $request, Circuit $circuit): RedirectResponse
    {
        // One after the other: started twice at once it is one visit.
        $visit = DB::transaction(
            static fn (): Visit => Visit::stillOpen()
                ->whereIn('circuit_id', $circuit->plant->circuits()->pluck('id'))
                ->where('user_id', $request->user()->id)
                ->latest('opened_at')
                ->first() ?? Visit::open($circuit->load('site', 'plant'), $request->user(), now()),
        );
        if ($visit->isOfRack()) {
            return redirect()->route('visits.board', $visit);
        }
        $station = $visit->wasRecentlyCreated ? Station::Complaint : Station::Gauges;

        return redirect()->route('visits.show', [$visit, $station->value]);
    }

    public function show(Request $request, Visit $visit, Judge $judge, string $stage = 'complaint'): View
    {
        $this->authorize('view', $visit);
        $visit->loadMissing('circuit.site', 'circuit.plant');
        $station = Station::tryFrom($stage) ?? Station::Complaint;
        $judged = $judge->of($visit);

        return view('visit.show', [
            'page' => new VisitPage($judged, $station, $request->user(), $request->query->all()),
            'whatIf' => WhatIfPage::of($judged, $request->user()->units()),
        ]);
    }

    /** What pulled each suspect up and down, and how the ranking came about. */
    public function why(Request $request, Visit $visit, Judge $judge): View
    {
        $this->authorize('view', $visit);
        $visit->loadMissing('circuit.site', 'circuit.plant');
        $page = new VisitPage($judge->of($visit, 0), Station::Verdict, $request->user());

        return view('visit.why', ['why' => new WhyPage($page, $page->judged->assessment->path()->steps())]);
    }

    /** What would change if it were done. */
    public function whatIf(Request $request, Visit $visit, TwinQuestion $question, Judge $judge): View
    {
        $this->authorize('view', $visit);
        $page = self::whatIfPage($request, $visit, $judge);
        abort_unless($page?->asks($question) === true, 404);

        return view('visit.what-if-answer', ['whatIf' => $page, 'question' => $question]);
    }

    private static function whatIfPage(Request $request, Visit $visit, Judge $judge): ?WhatIfPage
    {
        $judged = $judge->of($visit->loadMissing('circuit.site', 'circuit.plant'));

        return WhatIfPage::of($judged, $request->user()->units());
    }

    /** The plant bench with this visit's weather and leading fault set. */
    public function bench(Request $request, Visit $visit, Judge $judge): RedirectResponse
    {
        $this->authorize('view', $visit);
        $page = self::whatIfPage($request, $visit, $judge);

        return redirect()->route('plant.circuit', [$visit->circuit, ...$page?->bench() ?? []]);
    }

    public function close(Request $request, Visit $visit, Judge $judge): RedirectResponse
    {
        $this->authorize('close', $visit);
        $open = OpenTouches::of($visit->log())->keys();
        if ($open !== []) {
            return redirect()
                ->route('visits.show', [$visit, Station::Leave->value])
                ->withErrors(['value' => 'Not closed. Restore, or give a reason for leaving as is: '.
                    implode(', ', array_map(LeftOpen::said(...), $open)).'.']);
        }
        (new SecondLook($visit, $request->user()))->note();
        $visit->update(['closed_at' => $visit->closed_at ?? now()]);
        $judge->again($visit->loadMissing('circuit.site', 'circuit.plant'));

        return redirect()->route('visits.report', $visit);
    }

    /** Marks the visit as one at which the plant ran well, or takes the mark off, as is asked. */
    public function ranWell(Request $request, Visit $visit): RedirectResponse
    {
        $this->authorize('markRanWell', $visit);
        $well = $request->boolean('well');
        $visit->update(['ran_well_at' => $well ? $visit->ran_well_at ?? now() : null]);
        $said = $visit->ranWell()
            ? 'Saved as reference visit. Later visits are compared with it.'
            : 'No longer used as reference.';

        return redirect()
            ->route('visits.show', [$visit, Station::Leave->value])
            ->with('said', $said);
    }

    public function reopen(Visit $visit): RedirectResponse
    {
        $this->authorize('reopen', $visit);
        $visit->update(['closed_at' => null]);

        return redirect()->route('visits.show', [$visit, Station::Verdict->value]);
    }
}
