<?php

namespace App\Http\Controllers;

use App\Models\Visit;
use App\Records\Judge;
use App\View\Handover;
use App\View\HelpSheet;
use App\View\Report;
use App\View\ReportPdf;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\App;

final class ReportController extends Controller
{
    public function __construct(private readonly Judge $judge)
    {
    }

    public function show(Request $request, Visit $visit): View
    {
        return view('report.show', ['report' => $this->report($request, $visit)]);
    }

    /** What a colleague or the maker's help line asks for, on one page. */
    public function help(Request $request, Visit $visit): View
    {
        return view('report.help', [
            'sheet' => HelpSheet::of($this->judge->of($visit), $request->user()->units()),
        ]);
    }

    /** For the colleague who goes on with it: one page, also while the visit is open. */
    public function handover(Request $request, Visit $visit): View
    {
        return view('report.handover', [
            'page' => new Handover($this->judge->of($visit), $request->user()->units()),
        ]);
    }

    public function pdf(Request $request, Visit $visit): Response
    {
        $visit->loadMissing('circuit.site', 'circuit.plant');
        App::setLocale($visit->circuit->site->language);

        return ReportPdf::of($this->judge->of($visit), $request->user())->response();
    }

    /** In the language of the site, which its owner reads. */
    private function report(Request $request, Visit $visit): Report
    {
        $visit->loadMissing('circuit.site', 'circuit.plant');
        App::setLocale($visit->circuit->site->language);

        return new Report($this->judge->of($visit), $request->user());
    }
}
