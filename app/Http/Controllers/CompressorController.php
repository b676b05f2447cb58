<?php

namespace App\Http\Controllers;

use App\Http\Requests\CornersRequest;
use App\Models\Visit;
use App\Records\Judge;
use App\View\CompressorPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final class CompressorController extends Controller
{
    public function __construct(private readonly Judge $judge)
    {
    }

    public function show(Request $request, Visit $visit): View
    {
        return view('compressor.show', ['page' => $this->page($request, $visit)]);
    }

    /** What sliders do, and where that is on the envelope. */
    public function tried(Request $request, Visit $visit): View
    {
        return view('compressor.tried', ['page' => $this->page($request, $visit)]);
    }

    /** Keeps its class and the corner points that a manufacturer gives; none: as is usual for its class. */
    public function corners(CornersRequest $request, Visit $visit): RedirectResponse
    {
        $unit = $request->unit();
        $known = $request->plant()->known();
        $request->plant()->keep($known->knowing($unit->within($request->corners(), $request->compressorClass())));

        return redirect()
            ->route('visits.compressor', [$visit, 'of' => $unit->part->value])
            ->with('said', 'Saved.');
    }

    private function page(Request $request, Visit $visit): CompressorPage
    {
        return new CompressorPage($this->judge->of($visit), $request->user(), $request->query->all());
    }
}
