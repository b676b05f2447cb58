<?php

namespace App\Http\Controllers;

use App\Http\Requests\CircuitRequest;
use App\Models\Circuit;
use App\Models\Site;
use App\Records\CircuitSheet;
use App\View\CircuitPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Metrum\Circuit\Kind;

final class CircuitController extends Controller
{
    public function create(Request $request, Site $site): View
    {
        $kind = Kind::tryFrom((string) $request->string('kind')) ?? Kind::WalkInCooler;

        return view('circuits.form', [
            'site' => $site,
            'circuit' => new Circuit(CircuitSheet::usual($kind)),
            'usual' => CircuitSheet::usual($kind),
            'kind' => $kind,
        ]);
    }

    public function store(CircuitRequest $request, Site $site): RedirectResponse
    {
        return redirect()->route('circuits.show', $site->circuits()->create($request->circuit()));
    }

    public function show(Request $request, Circuit $circuit): View
    {
        $circuit->load('site');

        return view('circuits.show', ['page' => new CircuitPage($circuit, $request->user())]);
    }

    public function edit(Circuit $circuit): View
    {
        $kind = $circuit->kind() ?? Kind::WalkInCooler;

        return view('circuits.form', [
            'site' => $circuit->site,
            'circuit' => $circuit,
            'usual' => CircuitSheet::usual($kind),
            'kind' => $kind,
        ]);
    }

    public function update(CircuitRequest $request, Circuit $circuit): RedirectResponse
    {
        $circuit->update($request->circuit());

        return redirect()->route('circuits.show', $circuit)->with('said', 'Saved.');
    }
}
