<?php

namespace App\Http\Controllers;

use App\Http\Requests\EntryRequest;
use App\Models\Entry;
use App\Models\Visit;
use App\Records\NotRecordable;
use App\Records\Recorder;
use App\View\Meaning;
use App\View\Stage;
use App\View\VisitPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

final class EntryController extends Controller
{
    /** Saves one entry; answers with its control as it now stands and all that it changed. */
    public function store(EntryRequest $request, Visit $visit): Response|RedirectResponse
    {
        $kind = $request->validated('kind');
        $key = $request->validated('key');
        $stage = Stage::tryFrom((string) $request->validated('stage')) ?? Stage::Gauges;
        $refusal = null;
        $touched = [];
        $recorder = new Recorder($visit, $request->user());
        try {
            $touched =
                $kind === 'line'
                    ? $recorder->line((string) $request->validated('value'), $request->validated('id'))
                    : [
                        $recorder->record(
                            $kind,
                            $key,
                            $request->validated('value'),
                            $request->validated('id'),
                            $request->validated('reason'),
                        ),
                    ];
        } catch (NotRecordable $error) {
            $refusal = $error->getMessage();
        }
        if (! $request->hasHeader('HX-Request')) {
            $back = redirect()->route('visits.show', [$visit, $stage->value]);

            return $refusal === null ? $back : $back->withErrors(['value' => $refusal])->withInput();
        }

        return response()->view(
            'visit.changed',
            [
                'page' => new VisitPage($visit, $stage, $request->user()),
                'kind' => $kind,
                'key' => $key,
                'typed' => $request->validated('value'),
                'refusal' => $refusal,
                'touched' => $touched,
            ],
            $refusal === null ? 200 : 422,
        );
    }

    /** What a quick line would be kept as, while it is typed. */
    public function meaning(Request $request, Visit $visit): View
    {
        $this->authorize('view', $visit);

        return view('visit.meaning', [
            'meaning' => new Meaning(
                $visit,
                $request->user(),
                mb_substr((string) $request->string('value'), 0, 2000),
            ),
        ]);
    }

    public function undo(Request $request, Visit $visit, string $entry): Response|RedirectResponse
    {
        $this->authorize('enter', $visit);
        $id = (string) $request->string('id');
        $undone = Entry::query()->where('visit_id', $visit->id)->where('id', $entry)->firstOrFail();
        (new Recorder($visit, $request->user()))->undo($undone, Str::isUlid($id) ? $id : null);
        $stage = Stage::tryFrom((string) $request->string('stage')) ?? Stage::Gauges;
        if (! $request->hasHeader('HX-Request')) {
            return redirect()->route('visits.show', [$visit, $stage->value]);
        }

        return response()->view('visit.undone', [
            'page' => new VisitPage($visit, $stage, $request->user()),
            'kind' => $undone->kind,
            'key' => $undone->key,
        ]);
    }
}
