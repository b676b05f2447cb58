<?php

namespace App\Http\Controllers;

use App\Http\Requests\FollowUpRequest;
use App\Models\FollowUp;
use App\Models\Visit;
use App\Records\Calendar;
use App\Records\Judge;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Carbon;

final class FollowUpController extends Controller
{
    use AnswersFromVisits;

    public function store(FollowUpRequest $request, Visit $visit, Judge $judge): Response|RedirectResponse
    {
        FollowUp::note(
            $visit,
            $request->user(),
            Carbon::parse($request->validated('due_on')),
            $request->validated('what'),
            $request->validated('id'),
            $request->said(),
        );

        return $this->answer($request, $judge, []);
    }

    /** Done, or not done after all, as is asked. */
    public function done(Request $request, FollowUp $followUp): RedirectResponse
    {
        $this->authorize('tick', $followUp);
        $done = $request->boolean('done');
        $followUp->update(['done_at' => $done ? $followUp->done_at ?? now() : null]);

        return back();
    }

    public function calendar(FollowUp $followUp): Response
    {
        return response(Calendar::of($followUp->load('circuit.site')), 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="follow-up-'.$followUp->due_on->format('Y-m-d').'.ics"',
        ]);
    }
}
