<?php

namespace App\Http\Controllers;

use App\Models\Visit;
use App\Records\Judge;
use App\View\HelpSheet;
use App\View\Report;
use Dompdf\Dompdf;
use Dompdf\Options;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\App;

final class ReportController extends Controller
{
    /** Seconds that the longest report may take. */
    private const PATIENCE = 300;

    public function __construct(private readonly Judge $judge)
    {
    }

    public function show(Request $request, Visit $visit): View
    {
        return view('report.show', ['report' => $this->report($request, $visit)]);
    }

    /** What a colleague or the maker's help line asks for, on one page; of ice machines alone. */
    public function help(Request $request, Visit $visit): View
    {
        $sheet = HelpSheet::of($this->judge->of($visit), $request->user()->units());
        abort_if($sheet === null, 404);

        return view('report.help', ['sheet' => $sheet]);
    }

    public function pdf(Request $request, Visit $visit): Response
    {
        $report = $this->report($request, $visit);
        $pdf = new Dompdf(
            new Options([
                'isRemoteEnabled' => false,
                'defaultFont' => 'DejaVu Sans',
                'isPhpEnabled' => false,
                'fontCache' => storage_path('framework/cache'),
            ]),
        );
        $pdf->loadHtml(view('report.pdf', ['report' => $report])->render());
        $pdf->setPaper('A4');
        // A visit of many long notes takes a while; it is whole all the same.
        set_time_limit(self::PATIENCE);
        $pdf->render();

        return response((string) $pdf->output(), 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => 'inline; filename="'.$report->fileName().'.pdf"',
        ]);
    }

    /** In the language of the site, which its owner reads. */
    private function report(Request $request, Visit $visit): Report
    {
        $visit->loadMissing('circuit.site', 'circuit.plant');
        App::setLocale($visit->circuit->site->language);

        return new Report($this->judge->of($visit), $request->user());
    }
}
