<?php

namespace App\Http\Controllers;

use App\Http\Requests\FollowUpRequest;
use App\Models\FollowUp;
use App\Models\Visit;
use App\Records\Calendar;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

final class FollowUpController extends Controller
{
    public function store(FollowUpRequest $request, Visit $visit): RedirectResponse
    {
        FollowUp::query()->firstOrCreate(
            ['id' => $request->validated('id') ?? (string) Str::ulid()],
            [
                'visit_id' => $visit->id,
                'circuit_id' => $visit->circuit_id,
                'user_id' => $request->user()->id,
                'due_on' => $request->validated('due_on'),
                'what' => $request->validated('what'),
            ],
        );

        return redirect()
            ->route('visits.show', [$visit, 'leave'])
            ->with('said', 'Follow-up noted.');
    }

    public function done(FollowUp $followUp): RedirectResponse
    {
        $followUp->update(['done_at' => $followUp->done_at === null ? now() : null]);

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
