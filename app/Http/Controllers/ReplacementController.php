<?php

namespace App\Http\Controllers;

use App\Models\Circuit;
use App\Records\Judge;
use App\View\Replacement\ReplacementSheet;
use App\View\Replacement\ReplacementTerms;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** The sheet on which a system's repair is weighed against its replacement. */
final class ReplacementController extends Controller
{
    public function show(Request $request, Circuit $circuit, Judge $judge): View
    {
        $circuit->load('site', 'plant');

        return view('circuits.replacement', ['sheet' => new ReplacementSheet($circuit, $request->user(), $judge)]);
    }

    public function store(Request $request, Circuit $circuit): RedirectResponse
    {
        $typed = [];
        foreach (ReplacementTerms::fields() as $field) {
            $typed[$field->key] = (string) $request->string($field->key);
        }
        [$values, $wrong] = ReplacementTerms::read($typed, $request->user()->units());
        if ($wrong !== []) {
            throw ValidationException::withMessages($wrong);
        }
        $circuit->plant->update(['replacement' => $values]);

        return redirect()->route('circuits.replacement', $circuit)->with('said', 'Saved.');
    }
}
