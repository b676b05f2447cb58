<?php

namespace App\View;

use App\Models\User;
use App\Records\JudgedVisit;
use Dompdf\Dompdf;
use Dompdf\Options;
use Illuminate\Http\Response;

/** The report of a visit on paper. */
final readonly class ReportPdf
{
    /** Seconds that the longest report may take. */
    private const PATIENCE = 300;

    private function __construct(public string $bytes, public string $name)
    {
    }

    /** @param  User  $user  in whose units it is told */
    public static function of(JudgedVisit $judged, User $user): self
    {
        $report = new Report($judged, $user);
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

        return new self((string) $pdf->output(), $report->fileName().'.pdf');
    }

    public function response(): Response
    {
        return new Response($this->bytes, 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => 'inline; filename="'.$this->name.'"',
        ]);
    }
}
