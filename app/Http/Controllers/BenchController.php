<?php

namespace App\Http\Controllers;

use App\Models\Visit;
use App\View\BenchPage;
use App\View\SaturationPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Metrum\Bench\Calculator;

/** The calculators, each on its own or filled in from a visit; the answer follows what is typed. */
final class BenchController extends Controller
{
    private const LONGEST = 2000;

    public function show(Request $request, Calculator $calculator = Calculator::Superheat): View
    {
        [$visit, $typed] = $this->asked($request);

        return view('bench.show', [
            'page' => new BenchPage($calculator, $typed, $request->user()->units(), $visit, $visit?->findings()),
        ]);
    }

    public function saturation(Request $request): View
    {
        [$visit, $typed] = $this->asked($request);

        return view('bench.saturation', ['page' => new SaturationPage($typed, $request->user()->units(), $visit)]);
    }

    /** @return array{?Visit, array<string, string>} the visit that it is opened from, and what was typed */
    private function asked(Request $request): array
    {
        $visit = $request->filled('visit')
            ? Visit::query()->findOrFail($request->string('visit')->toString())
            : null;
        if ($visit !== null) {
            $this->authorize('view', $visit);
        }
        $typed = [];
        foreach ($request->query->all() as $key => $value) {
            if (is_string($value) && $key !== 'visit') {
                $typed[$key] = mb_substr($value, 0, self::LONGEST);
            }
        }

        return [$visit, $typed];
    }
}
