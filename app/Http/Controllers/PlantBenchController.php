<?php

namespace App\Http\Controllers;

use App\Models\Circuit;
use App\Records\CircuitSheet;
use App\View\BenchInputs;
use App\View\PlantBench;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Metrum\Circuit\Kind;

/** The plant bench of a circuit, and the plain one of each kind of plant. */
final class PlantBenchController extends Controller
{
    public function circuit(Request $request, Circuit $circuit): Response
    {
        return $this->page(
            $request,
            $this->ofCircuit($request, $circuit),
            $circuit,
            route('plant.circuit', $circuit),
            $circuit->name,
        );
    }

    public function kind(Request $request, string $kind): Response
    {
        return $this->page(
            $request,
            $this->ofKind($request, $kind),
            null,
            route('plant.kind', $kind),
            'Plain '.lcfirst(Kind::from($kind)->label()),
        );
    }

    public function run(Request $request, Circuit $circuit): View
    {
        return $this->ran($request, $this->ofCircuit($request, $circuit));
    }

    public function runKind(Request $request, string $kind): View
    {
        return $this->ran($request, $this->ofKind($request, $kind));
    }

    private function ofCircuit(Request $request, Circuit $circuit): PlantBench
    {
        $units = $request->user()->units();

        return new PlantBench(
            $circuit->loadMissing('site'),
            $circuit->plant(),
            new BenchInputs($request->query->all(), $units),
            $units,
        );
    }

    private function ofKind(Request $request, string $kind): PlantBench
    {
        $units = $request->user()->units();

        return new PlantBench(
            null,
            CircuitSheet::plainPlant(Kind::tryFrom($kind) ?? abort(404)),
            new BenchInputs($request->query->all(), $units),
            $units,
        );
    }

    /** htmx asks for the answer alone, but for the whole page when it goes back in history; the address keeps what is set. */
    private function page(
        Request $request,
        PlantBench $bench,
        ?Circuit $circuit,
        string $at,
        string $title,
    ): Response {
        $alone = $request->hasHeader('HX-Request') && ! $request->hasHeader('HX-History-Restore-Request');
        $set = http_build_query(
            array_filter($request->query->all(), static fn (mixed $one): bool => is_string($one) && $one !== ''),
        );

        return response()
            ->view($alone ? 'plant.answer' : 'plant.show', [
                'bench' => $bench,
                'circuit' => $circuit,
                'at' => $at,
                'title' => $title,
            ])
            ->withHeaders($alone ? ['HX-Replace-Url' => $at.($set === '' ? '' : '?'.$set)] : []);
    }

    private function ran(Request $request, PlantBench $bench): View
    {
        $hours = $request->input('hours') === '24' ? 24.0 : 1.0;

        return view('plant.run', ['run' => $bench->run($hours), 'hours' => $hours]);
    }
}
