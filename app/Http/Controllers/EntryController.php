<?php

namespace App\Http\Controllers;

use App\Http\Requests\EntryRequest;
use App\Http\Requests\UndoRequest;
use App\Models\Visit;
use App\Records\Author;
use App\Records\Judge;
use App\Records\Recorder;
use App\View\Answer;
use App\View\Meaning;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Metrum\Log\NotAFact;

final class EntryController extends Controller
{
    /** Saves one entry; answers with its control as it now stands and all that it changed. */
    public function store(EntryRequest $request, Visit $visit, Judge $judge): Response|RedirectResponse
    {
        $recorder = new Recorder($visit, Author::of($request->user()), now()->toDateTimeImmutable());
        try {
            $facts = $request->isLine()
                ? $recorder->line($request->typed(), $request->id())
                : [$recorder->record($request->said(), $request->validated('id'))];
        } catch (NotAFact $refusal) {
            return $this->refused($request, $visit, $judge, $refusal);
        }
        $judged = $judge->of($visit);
        $judge->keep($judged);
        if (! $request->hasHeader('HX-Request')) {
            return redirect()->route('visits.show', [$visit, $request->station()->value]);
        }
        $answer = Answer::kept($judged, $request->station(), $request->user(), $request->control(), $facts);

        return response()->view('visit.answer', ['answer' => $answer, 'page' => $answer->page]);
    }

    /** What a quick line would be kept as, while it is typed. */
    public function meaning(Request $request, Visit $visit): View
    {
        $this->authorize('view', $visit);
        $line = mb_substr((string) $request->string('value'), 0, 2000);

        return view('visit.meaning', [
            'meaning' => new Meaning($visit, Author::of($request->user()), now()->toDateTimeImmutable(), $line),
        ]);
    }

    public function undo(UndoRequest $request, Visit $visit, Judge $judge): Response|RedirectResponse
    {
        $fact = $request->fact();
        $recorder = new Recorder($visit, Author::of($request->user()), now()->toDateTimeImmutable());
        $recorder->undo($fact, $request->validated('id'));
        $judged = $judge->of($visit);
        $judge->keep($judged);
        if (! $request->hasHeader('HX-Request')) {
            return redirect()->route('visits.show', [$visit, $request->station()->value]);
        }
        $answer = Answer::undone($judged, $request->station(), $request->user(), $fact);

        return response()->view('visit.answer', ['answer' => $answer, 'page' => $answer->page]);
    }

    private function refused(
        EntryRequest $request,
        Visit $visit,
        Judge $judge,
        NotAFact $refusal,
    ): Response|RedirectResponse {
        if (! $request->hasHeader('HX-Request')) {
            return redirect()
                ->route('visits.show', [$visit, $request->station()->value])
                ->withErrors(['value' => $refusal->getMessage()])
                ->withInput();
        }
        $answer = Answer::refused(
            $judge->of($visit),
            $request->station(),
            $request->user(),
            $request->control(),
            $refusal->getMessage(),
        );

        return response()->view('visit.answer', ['answer' => $answer, 'page' => $answer->page], 422);
    }
}
