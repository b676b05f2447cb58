<?php

namespace App\Http\Controllers;

use App\Models\Visit;
use App\View\Report;
use Dompdf\Dompdf;
use Dompdf\Options;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

final class ReportController extends Controller
{
    public function show(Request $request, Visit $visit): View
    {
        return view('report.show', ['report' => new Report($visit, $request->user())]);
    }

    public function pdf(Request $request, Visit $visit): Response
    {
        $report = new Report($visit, $request->user());
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
        $pdf->render();

        return response((string) $pdf->output(), 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => 'inline; filename="'.$report->fileName().'.pdf"',
        ]);
    }
}
