<?php

namespace App\Http\Controllers;

use App\Models\Circuit;
use App\Records\Today;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

final class TodayController extends Controller
{
    private const MOST_FOUND = 12;

    public function show(Today $today): View
    {
        return view('today.show', [
            'visits' => $today->openVisits(),
            'followUps' => $today->followUps(),
            'looks' => $today->needingALook(),
            'sites' => $today->sites(),
        ]);
    }

    public function find(Request $request): View
    {
        $typed = trim((string) $request->string('q'));
        $found = Circuit::matching($typed)->with('site', 'plant')->orderBy('name')->limit(self::MOST_FOUND);

        return view('today.found', [
            'typed' => $typed,
            'circuits' => $typed === '' ? collect() : $found->get(),
        ]);
    }
}
