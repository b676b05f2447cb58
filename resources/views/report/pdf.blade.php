<!doctype html>
<html lang="{{ app()->getLocale() }}"><head><meta charset="utf-8"><title>Report {{ $report->visit->circuit->name
    }}</title>
<style>
@page { margin: 12mm 15mm 11mm; }
body { font-family: "DejaVu Sans"; font-size: 8pt; color: #1d2a30; line-height: 1.2; }
h1 { font-size: 16pt; margin: 0 0 2mm; }
h2 {
    font-size: 11.5pt;
    margin: 4mm 0 1mm;
    border-bottom: 0.4pt solid #b9b2a2;
    padding-bottom: 1mm;
    page-break-after: avoid;
}
p { margin: 0 0 2mm; } ul { margin: 0 0 2mm; padding-left: 5mm; }
table { width: 100%; border-collapse: collapse; }
th, td {
    text-align: left;
    vertical-align: top;
    padding: 0.6mm 3mm 0.6mm 0;
    border-bottom: 0.3pt solid #d9d3c6;
    font-weight: normal;
}
thead th { color: #5a666a; font-size: 8.5pt; }
tbody th { font-weight: bold; }
.num { white-space: nowrap; }
tr { page-break-inside: avoid; }
.summary { font-size: 10.5pt; line-height: 1.35; background: #f6f3ec; padding: 2mm 5mm 3mm; margin: 3mm 0; }
.summary h2 { border: 0; font-size: 11.5pt; margin: 3mm 0 0.5mm; }
.summary p { margin: 0; }
.course-img { margin: 1mm 0; } .before-after-img { width: 172mm; margin: 1mm 0; }
.page-two { page-break-before: always; }
.page-two h2 { font-size: 10pt; margin: 2.4mm 0 0.6mm; padding-bottom: 0.4mm; }
.page-two ol { margin: 0 0 2mm; padding-left: 5mm; }
.page-two table { font-size: 7.4pt; }
.page-two td, .page-two th { padding: 0.45mm 2.5mm 0.45mm 0; }
.page-two.dense { font-size: 7pt; line-height: 1.13; }
.page-two.dense table { font-size: 6.8pt; }
.page-two.dense h2 { font-size: 9pt; margin: 1.8mm 0 0.4mm; }
.page-two p { margin: 0 0 1.4mm; }
.choices { margin: 0 0 2mm; }
.choice { border: 0.4pt solid #d9d3c6; padding: 1mm 3mm; margin: 0 0 1.5mm; page-break-inside: avoid; }
.choice h3 { font-size: 9.5pt; margin: 0 0 0.5mm; } .choice p { margin: 0 0 0.6mm; }
.page-photos { page-break-before: always; }
.photos td { width: 50%; border: 0; padding: 0 3mm 3mm 0; font-size: 8.5pt; }
.photos img { width: 84mm; max-height: 72mm; }
.soft { color: #5a666a; }
.mark { font-weight: bold; color: #1f6f82; }
</style></head><body>
<p class="mark">Metrum</p>
<h1>{{ $report->visit->circuit->site->name }}: {{ $report->titleOfCircuit() }}</h1>
<p class="soft">{{ $report->day() }} · {{ $report->visit->user->name }} ·
    {{ $report->basis->refrigerant() }} · @drawn($report->basis->kind()){{ $report->visit->isOpen()
    ? ' · '.__('visit still open') : '' }}<br>{{ $report->visit->circuit->site->place }}</p>
@include('report.body', ['print' => true])
</body></html>
