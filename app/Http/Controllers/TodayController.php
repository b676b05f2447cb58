<?php

namespace App\Http\Controllers;

use App\Models\Circuit;
use App\Models\Site;
use App\Records\Today;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

final class TodayController extends Controller
{
    public function show(Today $today): View
    {
        return view('today.show', [
            'visits' => $today->openVisits(),
            'followUps' => $today->followUps(),
            'looks' => $today->needingALook(),
            'sites' => Site::query()->withCount('circuits')->orderBy('name')->limit(40)->get(),
        ]);
    }

    public function find(Request $request): View
    {
        $typed = trim((string) $request->string('q'));

        return view('today.found', [
            'typed' => $typed,
            'circuits' => $typed === ''
                    ? collect()
                    : Circuit::matching($typed)->with('site')->orderBy('name')->limit(12)->get(),
        ]);
    }
}
