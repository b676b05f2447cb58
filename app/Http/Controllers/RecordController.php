<?php

namespace App\Http\Controllers;

use App\Models\Circuit;
use App\Records\CsvText;
use App\Records\FigureRecord;
use App\View\Record\ComparedVisits;
use App\View\Record\HistoryTable;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What outlives the visits of a circuit. */
final class RecordController extends Controller
{
    /** What changed from one visit to another; asked of nothing, from the last but one to the last. */
    public function compare(Request $request, Circuit $circuit): View
    {
        $asked = $request->validate([
            'from' => ['nullable', 'string', 'max:40'],
            'to' => ['nullable', 'string', 'max:40'],
        ]);
        $circuit->load('site', 'plant');

        return view('circuits.compare', [
            'compared' => new ComparedVisits(
                $circuit,
                $request->user()->units(),
                $asked['from'] ?? null,
                $asked['to'] ?? null,
            ),
        ]);
    }

    /** Its figures over all visits, with what was expected of each. */
    public function history(Request $request, Circuit $circuit): Response
    {
        $table = new HistoryTable(FigureRecord::of($circuit)->all());

        return response(CsvText::of(HistoryTable::COLUMNS, $table->rows()), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="'.$circuit->id.'-figures.csv"',
        ]);
    }
}
