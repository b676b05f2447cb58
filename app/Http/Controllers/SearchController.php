<?php

namespace App\Http\Controllers;

use App\Http\Requests\SearchRequest;
use App\Records\CsvText;
use App\Records\SearchList;
use App\View\SearchPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Response;

/** The whole record of the workshop, by words and by state. */
final class SearchController extends Controller
{
    public function show(SearchRequest $request): View
    {
        return view('search.show', ['page' => new SearchPage($request->search(), $request->user())]);
    }

    public function csv(SearchRequest $request, SearchList $list): Response
    {
        $page = new SearchPage($request->search(), $request->user());

        return response(CsvText::of($list->columns(), $page->all($list)), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="'.$list->value.'.csv"',
        ]);
    }
}
