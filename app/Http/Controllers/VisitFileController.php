<?php

namespace App\Http\Controllers;

use App\Http\Requests\ImportRequest;
use App\Models\Circuit;
use App\Models\Import;
use App\Models\Visit;
use App\Records\Importer;
use App\Records\ImportSteps;
use App\Records\Judge;
use App\Records\VisitLines;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Metrum\Data\Refused;
use Metrum\Exchange\VisitWriter;
use Metrum\Twin\Twins;

final class VisitFileController extends Controller
{
    /** Reasons shown of a file that is refused. */
    private const SHOWN = 40;

    public function show(Visit $visit): Response
    {
        $told = $visit->loadMissing('circuit.site', 'circuit.plant')->told();

        return response(VisitWriter::json(VisitWriter::whole($told)), 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => 'attachment; filename="visit-'.$visit->id.'.json"',
        ]);
    }

    public function create(Request $request): View
    {
        return view('visit.import', [
            'circuits' => Circuit::query()->with('site')->orderBy('name')->get(),
            'chosen' => (string) $request->string('circuit'),
            'unfinished' => Import::query()
                ->where('user_id', $request->user()->id)
                ->whereColumn('taken', '<', 'visits')
                ->whereNull('refused')
                ->latest()
                ->get(),
        ]);
    }

    public function store(
        ImportRequest $request,
        Judge $judge,
        Twins $twins,
        ImportSteps $steps,
    ): RedirectResponse {
        $circuit = $request->circuit();
        try {
            $lines = VisitLines::of($request->text());
            $request->asksAboutRefrigerant($lines, $circuit);
            if (count($lines->all) > ImportSteps::MANY) {
                $import = $steps->begin($request->user(), $request->name(), $request->text(), $lines, $circuit);

                return redirect()->route('import.progress', $import);
            }
            $visits = (new Importer($request->user(), $judge, $twins))->import($lines, $circuit);
        } catch (Refused $file) {
            return back()->withInput()->with('refused', array_slice($file->reasons, 0, self::SHOWN));
        }
        $said =
            count($visits) === 1
                ? 'Visit imported.'
                : count($visits).' visits imported; this is the first.';

        $first = $visits[0];
        $to = $first->isOfRack() ? $first->address() : route('visits.show', [$first, 'verdict']);

        return redirect($to)->with('said', $said);
    }

    public function progress(Import $import): View
    {
        $this->authorize('follow', $import);

        return view('visit.import-progress', ['import' => $import]);
    }

    /** Goes on with a file of many visits for a moment; answers how far it is. */
    public function step(Request $request, Import $import, ImportSteps $steps): View|RedirectResponse
    {
        $this->authorize('follow', $import);
        $steps->step($import);

        return $request->hasHeader('HX-Request')
            ? view('visit.import-bar', ['import' => $import])
            : redirect()->route('import.progress', $import);
    }
}
