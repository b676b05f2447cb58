<?php

namespace App\Http\Controllers;

use App\Http\Requests\CylinderRequest;
use App\Http\Requests\StockMoveRequest;
use App\Models\Cylinder;
use App\Models\StockMove;
use App\Records\Stock;
use App\View\CylinderPage;
use App\View\StockPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The cylinders of the workshop. */
final class StockController extends Controller
{
    public function index(Request $request, Stock $stock): View
    {
        $page = new StockPage($stock, $request->user(), $request->integer('page', 1));

        return view('refrigerant.index', ['page' => $page]);
    }

    public function create(): View
    {
        return view('refrigerant.form', ['cylinder' => new Cylinder()]);
    }

    public function store(CylinderRequest $request): RedirectResponse
    {
        return redirect()->route('cylinders.show', $request->save())->with('said', 'Cylinder added to stock.');
    }

    public function show(Request $request, Cylinder $cylinder, Stock $stock): View
    {
        return view('refrigerant.cylinder', ['page' => new CylinderPage($cylinder, $stock, $request->user())]);
    }

    public function edit(Cylinder $cylinder): View
    {
        return view('refrigerant.form', ['cylinder' => $cylinder]);
    }

    public function update(CylinderRequest $request, Cylinder $cylinder): RedirectResponse
    {
        return redirect()->route('cylinders.show', $request->save())->with('said', 'Saved.');
    }

    public function weigh(StockMoveRequest $request, Cylinder $cylinder): RedirectResponse
    {
        $request->save($cylinder);

        return redirect()->route('cylinders.show', $cylinder)->with('said', 'Weighed.');
    }

    public function undo(Cylinder $cylinder, StockMove $move): RedirectResponse
    {
        abort_unless($move->cylinder_id === $cylinder->id, 404);
        $this->authorize('undo', $move);
        $move->update(['taken_back_at' => $move->taken_back_at ?? now()]);
        $cylinder->update(['gone_at' => $move->why === 'returned' ? null : $cylinder->gone_at]);

        return redirect()->route('cylinders.show', $cylinder)->with('said', 'Undone.');
    }
}
