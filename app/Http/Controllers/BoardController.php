<?php

namespace App\Http\Controllers;

use App\Models\Visit;
use App\Records\Judge;
use App\View\Board\BoardCases;
use App\View\Board\BoardPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** The board of a plant of several circuits, at a visit to it. */
final class BoardController extends Controller
{
    public function show(Request $request, Visit $visit, Judge $judge): View
    {
        $this->authorize('view', $visit);
        abort_unless($visit->isOfRack(), 404);

        $visit->loadMissing('circuit.site', 'circuit.plant', 'followUps');

        return view('board.show', ['page' => new BoardPage($visit, $request->user(), $judge->assessment($visit))]);
    }

    /** The cases of the circuit that is walked, side by side. */
    public function cases(Request $request, Visit $visit, Judge $judge): View
    {
        $this->authorize('view', $visit);
        $visit->loadMissing('circuit.site', 'circuit.plant');
        $branch = $visit->isOfRack() ? $visit->plantAsOpened()->branch($visit->circuit->partId()) : null;
        if ($branch === null) {
            abort(404);
        }

        return view('board.cases-page', [
            'page' => new BoardCases($visit, $request->user(), $judge->rack($visit), $branch),
        ]);
    }
}
