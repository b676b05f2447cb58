<?php

namespace App\Http\Controllers;

use App\Http\Requests\VisitRequest;
use App\Records\Judge;
use App\View\EntryAnswer;
use App\View\VisitPage;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
use Metrum\Log\Fact;

/** How something said at a visit is answered: with the parts of its page that changed, or with the page. */
trait AnswersFromVisits
{
    /** @param  list<Fact>  $facts  that were kept, or taken back */
    private function answer(VisitRequest $request, Judge $judge, array $facts): Response|RedirectResponse
    {
        $judged = $judge->of($request->visit());
        $before = $request->visit()->verdict?->verdict();
        $judge->keep($judged);
        if (! $request->ajax()) {
            return redirect()->route('visits.show', $request->shown());
        }
        $page = new VisitPage($judged, $request->station(), $request->user(), $request->card());
        $answer = new EntryAnswer($page, $facts, $before);

        return response()->view(
            'visit.answer',
            ['answer' => $answer, 'page' => $page, 'whatIf' => $answer->whatIf()],
            200,
            // Answers may come in another order than they were made in; the longer log is the later one.
            ['X-Log-Length' => (string) $page->length(), 'X-Clock-Off' => (string) ($request->clockOff() ?? 0)],
        );
    }
}
