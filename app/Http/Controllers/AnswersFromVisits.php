<?php

namespace App\Http\Controllers;

use App\Http\Requests\VisitRequest;
use App\Records\Judge;
use App\View\Board\BoardCases;
use App\View\Board\BoardPage;
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
        if ($request->isOfBoard()) {
            return $this->boardAnswer($request, $judge);
        }
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
            self::counted($request, $page->length()),
        );
    }

    private function boardAnswer(VisitRequest $request, Judge $judge): Response|RedirectResponse
    {
        $visit = $request->visit()->load('followUps')->loadMissing('circuit.site', 'circuit.plant');
        $judge->keepRack($visit);
        if (! $request->ajax()) {
            return redirect()->route('visits.board', $visit);
        }
        $page = new BoardPage($visit, $request->user(), $judge->assessment($visit));

        return response()->view(
            'board.parts',
            ['page' => $page, 'cases' => self::casesOf($request, $page)],
            200,
            self::counted($request, $page->length()),
        );
    }

    /** Where something of a case was said, the cases of its circuit. */
    private static function casesOf(VisitRequest $request, BoardPage $page): ?BoardCases
    {
        $circuit = $request->circuitSaid();
        $branch = $circuit === null ? null : $page->found->plant->branch($circuit);

        return $branch === null ? null : new BoardCases($page->visit, $request->user(), $page->verdict, $branch);
    }

    /** @return array<string, string> */
    private static function counted(VisitRequest $request, int $length): array
    {
        return ['X-Log-Length' => (string) $length, 'X-Clock-Off' => (string) ($request->clockOff() ?? 0)];
    }
}
