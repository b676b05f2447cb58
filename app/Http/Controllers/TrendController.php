<?php

namespace App\Http\Controllers;

use App\Http\Requests\TrendRequest;
use App\Models\TrendRecord;
use App\Models\Visit;
use App\Records\TrendTaking;
use App\Records\TrendUpload;
use App\View\Trend\TrendColumns;
use App\View\Trend\TrendPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Metrum\Data\Refused;
use Metrum\Exchange\TrendReader;
use Metrum\Log\NotAFact;

/** A controller's trend at a visit: its export is sent, its columns are said, it is read beside what was done. */
final class TrendController extends Controller
{
    public function show(Request $request, Visit $visit): View
    {
        $this->authorize('view', $visit);
        $visit->loadMissing('circuit.site', 'circuit.plant');

        return view('trend.show', ['page' => new TrendPage($visit, $request->user())]);
    }

    public function store(TrendRequest $request, Visit $visit): RedirectResponse
    {
        try {
            $name = TrendUpload::put($visit, $request->text());
        } catch (Refused $refused) {
            return back()->withErrors(['file' => implode('; ', $refused->reasons)]);
        }

        return redirect()->route('trend.columns', [$visit, $name]);
    }

    public function columns(Visit $visit, string $name): View|RedirectResponse
    {
        $this->authorize('enter', $visit);
        $visit->loadMissing('circuit.plant');
        $file = TrendUpload::get($visit, $name);

        return $file === null
            ? redirect()->route('trend', $visit)->withErrors(['file' => 'That file is gone. Send it again.'])
            : view('trend.columns', [
                'visit' => $visit,
                'name' => $name,
                'columns' => new TrendColumns($visit, $file, old() === [] ? [] : self::texts((array) old())),
            ]);
    }

    public function keep(Request $request, Visit $visit, string $name): RedirectResponse
    {
        $this->authorize('enter', $visit);
        $visit->loadMissing('circuit.plant');
        $file = TrendUpload::get($visit, $name);
        if ($file === null) {
            return redirect()->route('trend', $visit)->withErrors(['file' => 'That file is gone. Send it again.']);
        }
        $chosen = self::texts($request->except('_token'));
        $columns = new TrendColumns($visit, $file, $chosen);
        $missing = $columns->withoutUnit();
        if ($missing !== [] || $columns->kept() === []) {
            $why = $missing === []
                ? 'Say of at least one column which reading it is.'
                : 'Choose a unit that fits for: '.implode(', ', $missing).'.';

            return back()->withInput()->withErrors(['columns' => $why]);
        }
        $air = $visit->circuitNow()->atmosphere;
        try {
            [$trends, $withoutTime, $wrong] = (new TrendReader($file, $columns->zone, $air))
                ->trends($columns->time(), $columns->format(), $columns->kept());
        } catch (Refused $refused) {
            return back()->withInput()->withErrors(['columns' => implode('; ', $refused->reasons)]);
        }
        foreach ($trends as $trend) {
            TrendRecord::keep($visit, $trend);
        }
        $visit->circuit->plant->update(['trend_columns' => $chosen + ($visit->circuit->plant->trend_columns ?? [])]);
        TrendUpload::drop($visit, $name);

        return redirect()->route('trend', $visit)->with('said', count($trends).' trends kept. '.
            ($withoutTime === 0 ? '' : "$withoutTime rows had no time. ").
            ($wrong === 0 ? '' : "$wrong values were no numbers, or impossible, and are left out."));
    }

    /** A value of it becomes a reading of the visit. */
    public function take(Request $request, Visit $visit, TrendRecord $trend): RedirectResponse
    {
        $this->authorize('enter', $visit);
        abort_unless($trend->occasion_id === $visit->id, 404);
        $at = (string) $request->string('at');
        try {
            $said = (new TrendTaking($visit, $request->user()))->take($trend, $at);
        } catch (NotAFact $refusal) {
            return back()->withInput()->withErrors([$trend->id => $refusal->in($request->user()->units())]);
        }

        return redirect()->route('trend', $visit)->with('said', $said);
    }

    /** Doing so twice is doing so once. */
    public function remove(Visit $visit, string $trend): RedirectResponse
    {
        $this->authorize('enter', $visit);
        TrendRecord::ofVisit($visit)->where('id', $trend)->delete();

        return redirect()->route('trend', $visit)->with('said', 'Trend removed. Readings taken from it stay.');
    }

    /**
     * @param  array<array-key, mixed>  $given
     * @return array<string, string>
     */
    private static function texts(array $given): array
    {
        $texts = [];
        foreach ($given as $key => $one) {
            $texts += is_string($one) && mb_strlen($one) <= 200 ? [strtr((string) $key, '_', ' ') => $one] : [];
        }

        return $texts;
    }
}
