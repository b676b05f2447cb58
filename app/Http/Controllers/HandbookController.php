<?php

namespace App\Http\Controllers;

use App\Models\Circuit;
use App\Models\HouseRuleChoice;
use App\View\Handbook;
use App\View\HandbookEntry;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Metrum\Circuit\Circuit as Known;
use Metrum\Circuit\Fault;
use Metrum\Circuit\Kind;
use Metrum\Diagnosis\Grade;
use Metrum\Plant\Twins;

/** Every fault to read about, without a visit: its course is drawn on a plain plant, or on one of one's own. */
final class HandbookController extends Controller
{
    /** What a plain plant needs so that it can have a fault. */
    private const PARTS = [
        'winter_undercharge' => ['head_pressure_control' => 'flooding_valve'],
        'head_pressure_valve_bypassing' => ['head_pressure_control' => 'flooding_valve'],
        'regulator_set_high' => ['evaporator_pressure_regulator' => true],
        'regulator_set_low' => ['evaporator_pressure_regulator' => true],
        'hot_gas_leaking' => ['defrost' => 'hot_gas'],
    ];

    public function index(Request $request): View
    {
        return view('handbook.index', [
            'handbook' => new Handbook($request->string('q')->limit(80, '')->toString()),
        ]);
    }

    public function show(Request $request, Fault $fault, Twins $twins): View
    {
        $circuit = $request->filled('circuit')
            ? Circuit::query()
                ->with('site', 'plant')
                ->findOrFail($request->string('circuit')->toString())
            : null;
        $entry = new HandbookEntry(
            $fault,
            Grade::tryFrom($request->string('grade')->toString()) ?? Grade::Moderate,
            $circuit?->known() ?? self::plain($fault),
            $request->user()->units(),
            $twins,
            HouseRuleChoice::inForce(),
        );

        return view('handbook.show', ['page' => $entry, 'circuit' => $circuit]);
    }

    private static function plain(Fault $fault): Known
    {
        $kind = match ($fault) {
            Fault::WaterFeedFault => Kind::IceMachine,
            Fault::FanDelayHolding, Fault::HotGasLeaking, Fault::DefrostHeaterFailed => Kind::WalkInFreezer,
            default => Kind::WalkInCooler,
        };
        $usual = $kind->usual();
        $system = (self::PARTS[$fault->value] ?? []) + $usual->system + ['refrigerant' => $usual->refrigerant];

        return Known::fromWords($system, $usual->design);
    }
}
