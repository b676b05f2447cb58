<?php

namespace App\Http\Controllers;

use App\Http\Requests\LedgerRequest;
use App\Models\Circuit;
use App\Models\HouseRuleChoice;
use App\Records\Folds;
use App\Records\LedgerFile;
use App\Records\LedgerImport;
use App\Records\LevelMarks;
use App\Records\Stock;
use App\View\LedgerPage;
use App\View\WinterPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Metrum\Data\Refused;
use Metrum\Knowledge\HouseRule;
use Metrum\Twin\Twins;

/** What refrigerant went into plants and out of them, and its files. */
final class LedgerController extends Controller
{
    public function show(Request $request, Circuit $circuit, Stock $stock): View
    {
        return view('refrigerant.ledger', ['page' => new LedgerPage($circuit, $stock, $request->user())]);
    }

    public function winter(Request $request, Circuit $circuit, Twins $twins, Folds $folds): View
    {
        return view('refrigerant.winter', ['page' => new WinterPage($circuit, $request->user(), $twins, $folds)]);
    }

    /** What is printed for the receiver. */
    public function tag(Request $request, Circuit $circuit): View
    {
        $plate = $circuit->known()->design->nameplateCharge;

        return view('refrigerant.tag', [
            'circuit' => $circuit,
            'marks' => LevelMarks::of($circuit),
            'limit' => HouseRuleChoice::inForce()->band(HouseRule::ReceiverFill)->high,
            'plate' => $plate === null ? null : $request->user()->units()->mass($plate),
        ]);
    }

    public function csv(Request $request, Stock $stock): Response
    {
        return self::file(LedgerFile::csv(self::rows($request, $stock)), 'text/csv; charset=utf-8', 'csv');
    }

    public function json(Request $request, Stock $stock): Response
    {
        return self::file(LedgerFile::json(self::rows($request, $stock)), 'application/json', 'json');
    }

    public function create(): View
    {
        return view('refrigerant.import');
    }

    public function store(LedgerRequest $request): RedirectResponse
    {
        try {
            [$new, $known] = (new LedgerImport($request->user()))->take(LedgerFile::read($request->text()));
        } catch (Refused $file) {
            return back()->with('refused', $file->reasons);
        }

        return redirect()->route('stock')->with('said', "$new movements imported, $known already present.");
    }

    /** @return list<array<string, string|float|null>> of one circuit's plant, or of all */
    private static function rows(Request $request, Stock $stock): array
    {
        $circuit = Circuit::query()->with('plant')->find((string) $request->string('circuit'));

        return LedgerFile::rows($stock->movements($circuit?->plant), $stock->cylinders());
    }

    private static function file(string $text, string $type, string $ending): Response
    {
        return response($text, 200, [
            'Content-Type' => $type,
            'Content-Disposition' => 'attachment; filename="refrigerant-'.now()->format('Y-m-d').'.'.$ending.'"',
        ]);
    }
}
