<?php

namespace App\Http\Controllers;

use App\Http\Requests\ImportRequest;
use App\Models\Circuit;
use App\Models\Visit;
use App\Records\Importer;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Metrum\Exchange\RefusedFile;
use Metrum\Exchange\VisitWriter;

final class VisitFileController extends Controller
{
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

    public function store(ImportRequest $request): RedirectResponse
    {
        $chosen = $request->validated('circuit_id');
        $circuit = $chosen === null ? null : Circuit::query()->with('site')->where('id', $chosen)->first();
        try {
            $visits = (new Importer($request->user()))->import($request->text(), $circuit);
        } catch (RefusedFile $file) {
            return back()->withInput()->with('refused', array_slice($file->reasons, 0, 40));
        }

        return redirect()
            ->route('visits.show', [$visits[0], 'verdict'])
            ->with(
                'said',
                count($visits) === 1
                    ? 'The visit was taken in.'
                    : count($visits).' visits were taken in; this is the first.',
            );
    }
}
