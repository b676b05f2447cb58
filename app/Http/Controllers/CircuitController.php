<?php

namespace App\Http\Controllers;

use App\Http\Requests\CircuitRequest;
use App\Models\Circuit;
use App\Models\Site;
use App\Records\Author;
use App\Records\CircuitBook;
use App\Records\Folds;
use App\Records\Judge;
use App\View\CircuitForm;
use App\View\CircuitPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Metrum\Installation\Kind;
use Metrum\Twin\Twins;

final class CircuitController extends Controller
{
    public function create(Request $request, Site $site): View
    {
        $kind = Kind::tryFrom((string) $request->string('kind')) ?? Kind::WalkInCooler;

        return view('circuits.form', [
            'form' => new CircuitForm($site, null, $kind, $request->user()->units()),
        ]);
    }

    public function store(CircuitRequest $request, Site $site): RedirectResponse
    {
        $sheet = $request->sheet();
        $circuit = Circuit::establish($site, $request->validated('name'), $sheet->system, $sheet->design);
        $circuit->update(['notes' => $request->validated('notes')]);

        return redirect()->route('circuits.show', $circuit);
    }

    public function show(Request $request, Circuit $circuit, Judge $judge, Twins $twins, Folds $folds): View
    {
        $circuit->load('site', 'plant');

        return view('circuits.show', [
            'page' => new CircuitPage($circuit, $request->user(), $judge, $twins, $folds),
        ]);
    }

    public function edit(Request $request, Circuit $circuit): View
    {
        $kind = $circuit->coolingKind() ?? Kind::WalkInCooler;
        $circuit->load('site', 'plant');

        return view('circuits.form', [
            'form' => new CircuitForm($circuit->site, $circuit, $kind, $request->user()->units()),
        ]);
    }

    public function update(CircuitRequest $request, Circuit $circuit, Judge $judge): RedirectResponse
    {
        $book = new CircuitBook(Author::of($request->user()), now()->toDateTimeImmutable(), $judge);
        $named = ['name' => $request->validated('name'), 'notes' => $request->validated('notes')];
        $book->change($circuit->load('site', 'plant'), $named, $request->sheet());

        return redirect()->route('circuits.show', $circuit)->with('said', 'Saved.');
    }

    /** The tag of one circuit alone. */
    public function code(Circuit $circuit): View
    {
        $circuit->load('site', 'plant');

        return view('circuits.labels', ['site' => $circuit->site, 'circuits' => collect([$circuit])]);
    }

    /** Keeps with the plant what the next visitor must know; said twice it stands once. */
    public function weakPoint(Request $request, Circuit $circuit): RedirectResponse
    {
        $point = $request->validate(['point' => ['required', 'string', 'max:240']])['point'];
        $circuit->keepWeakPoint($point);

        return back()->with('said', "Added to the system's weak points.");
    }

    /** Works the verdicts of its visits anew with the weights of today. */
    public function again(Circuit $circuit, Judge $judge): RedirectResponse
    {
        foreach ($circuit->load('site', 'plant')->visits()->get() as $visit) {
            $judge->again($visit->setRelation('circuit', $circuit));
        }

        return redirect()->route('circuits.show', $circuit)->with('said', 'Recalculated.');
    }
}
