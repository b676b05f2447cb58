<?php

namespace App\Http\Controllers;

use App\Models\Circuit;
use App\Models\HouseRuleChoice;
use App\View\Handbook;
use App\View\HandbookEntry;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Metrum\Diagnosis\Grade;
use Metrum\Knowledge\Fault;
use Metrum\Twin\Ailment;
use Metrum\Twin\Twins;

/** Every fault to read about, without a visit: its course is drawn on a plain plant, or on one of one's own. */
final class HandbookController extends Controller
{
    public function index(Request $request): View
    {
        return view('handbook.index', [
            'handbook' => new Handbook($request->string('q')->limit(80, '')->toString()),
        ]);
    }

    public function show(Request $request, Fault $fault, Twins $twins): View
    {
        $circuit = $request->filled('circuit')
            ? Circuit::query()
                ->with('site', 'plant')
                ->findOrFail($request->string('circuit')->toString())
            : null;
        $entry = new HandbookEntry(
            $fault,
            Grade::tryFrom($request->string('grade')->toString()) ?? Grade::Moderate,
            $circuit?->known() ?? Ailment::of($fault)->plainPlant(),
            $request->user()->units(),
            $twins,
            HouseRuleChoice::inForce(),
        );

        return view('handbook.show', ['page' => $entry, 'circuit' => $circuit]);
    }
}
