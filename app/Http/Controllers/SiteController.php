<?php

namespace App\Http\Controllers;

use App\Http\Requests\SiteRequest;
use App\Models\Circuit;
use App\Models\Site;
use App\Records\Author;
use App\Records\CircuitBook;
use App\Records\Judge;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

final class SiteController extends Controller
{
    public function index(): View
    {
        return view('sites.index', ['sites' => Site::query()->with('circuits')->orderBy('name')->get()]);
    }

    public function create(): View
    {
        return view('sites.form', ['site' => new Site()]);
    }

    public function store(SiteRequest $request): RedirectResponse
    {
        return redirect()->route('sites.show', Site::query()->create($request->site()));
    }

    public function show(Site $site): View
    {
        $circuits = $site->circuits()->with(['plant', 'visits' => fn ($visits) => $visits->limit(1)])->get();
        [$ofRacks, $alone] = $circuits->partition(static fn (Circuit $one): bool => $one->plant->name !== null);

        return view('sites.show', [
            'site' => $site,
            'racks' => $ofRacks->groupBy('plant_id')->map->sortBy('part', SORT_NATURAL),
            'circuits' => $alone,
        ]);
    }

    /** Tags with a code, one for each circuit, to be printed and fixed to the units. */
    public function tags(Site $site): View
    {
        return view('circuits.labels', ['site' => $site, 'circuits' => $site->circuits()->with('plant')->get()]);
    }

    public function edit(Site $site): View
    {
        return view('sites.form', ['site' => $site]);
    }

    public function update(SiteRequest $request, Site $site, Judge $judge): RedirectResponse
    {
        $site->update($request->site());
        $book = new CircuitBook(Author::of($request->user()), now()->toDateTimeImmutable(), $judge);
        $book->tell(...$site->circuits()->with('site', 'plant')->get()->all());

        return redirect()->route('sites.show', $site)->with('said', 'Saved.');
    }
}
