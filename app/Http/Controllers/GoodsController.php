<?php

namespace App\Http\Controllers;

use App\Models\Visit;
use App\Records\CsvText;
use App\Records\Judge;
use App\View\Goods\GoodsSheet;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** For how long goods in a box were out of their limits, for whoever decides on them. */
final class GoodsController extends Controller
{
    public function show(Request $request, Visit $visit, Judge $judge): View
    {
        return view('goods.show', ['goods' => self::sheet($request, $visit, $judge)]);
    }

    public function table(Request $request, Visit $visit, Judge $judge): Response
    {
        $goods = self::sheet($request, $visit, $judge);

        return response(CsvText::of(GoodsSheet::COLUMNS, $goods->table()), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="goods-'.$visit->opened_at->format('Y-m-d').'.csv"',
        ]);
    }

    private static function sheet(Request $request, Visit $visit, Judge $judge): GoodsSheet
    {
        $visit->loadMissing('circuit.site', 'circuit.plant', 'user');

        return GoodsSheet::of($judge->of($visit, 0), $request->user()->units()) ?? abort(404);
    }
}
