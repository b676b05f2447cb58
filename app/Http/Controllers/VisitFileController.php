<?php

namespace App\Http\Controllers;

use App\Http\Requests\ImportRequest;
use App\Models\Circuit;
use App\Models\Visit;
use App\Records\Importer;
use App\Records\Judge;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Metrum\Circuit\Refused;
use Metrum\Exchange\VisitWriter;
use Metrum\Plant\Twins;

final class VisitFileController extends Controller
{
    /** Reasons shown of a file that is refused. */
    private const SHOWN = 40;

    public function show(Visit $visit): Response
    {
        return response(VisitWriter::json($visit->findings()), 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => 'attachment; filename="visit-'.$visit->id.'.json"',
        ]);
    }

    public function create(Request $request): View
    {
        return view('visit.import', [
            'circuits' => Circuit::query()->with('site')->orderBy('name')->get(),
            'chosen' => (string) $request->string('circuit'),
        ]);
    }

    public function store(ImportRequest $request, Judge $judge, Twins $twins): RedirectResponse
    {
        $circuit = Circuit::query()
            ->with('site', 'plant')
            ->where('id', $request->validated('circuit_id'))
            ->first();
        try {
            $visits = (new Importer($request->user(), $judge, $twins))->import($request->text(), $circuit);
        } catch (Refused $file) {
            return back()->withInput()->with('refused', array_slice($file->reasons, 0, self::SHOWN));
        }
        $said =
            count($visits) === 1
                ? 'The visit was taken in.'
                : count($visits).' visits were taken in; this is the first.';

        return redirect()
            ->route('visits.show', [$visits[0], 'verdict'])
            ->with('said', $said);
    }
}
