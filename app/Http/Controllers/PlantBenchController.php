<?php

namespace App\Http\Controllers;

use App\Models\Circuit;
use App\Models\HouseRuleChoice;
use App\Records\Folds;
use App\View\BenchInputs;
use App\View\PlantBench;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Metrum\Findings\Findings;
use Metrum\Installation\Circuit as Known;
use Metrum\Installation\Kind;
use Metrum\Twin\CannotStand;
use Metrum\Twin\RunLength;
use Metrum\Twin\Twins;

/** The plant bench of a circuit, and the plain one of each kind of plant. */
final class PlantBenchController extends Controller
{
    public function __construct(private readonly Twins $twins, private readonly Folds $folds)
    {
    }

    public function circuit(Request $request, Circuit $circuit): Response
    {
        try {
            $bench = $this->ofCircuit($request, $circuit);
        } catch (CannotStand $reason) {
            return response(self::none($circuit, $reason));
        }

        return $this->page($request, $bench, [
            'circuit' => $circuit,
            'at' => route('plant.circuit', $circuit),
            'title' => $circuit->name,
        ]);
    }

    public function kind(Request $request, Kind $kind): Response
    {
        return $this->page($request, $this->bench($request, Known::plain($kind)), [
            'circuit' => null,
            'at' => route('plant.kind', $kind->value),
            'title' => 'Sample '.lcfirst($kind->label()),
        ]);
    }

    public function run(Request $request, Circuit $circuit): View
    {
        try {
            $bench = $this->ofCircuit($request, $circuit);
        } catch (CannotStand $reason) {
            return self::none($circuit, $reason);
        }

        return $this->ran($request, $bench);
    }

    public function runKind(Request $request, Kind $kind): View
    {
        return $this->ran($request, $this->bench($request, Known::plain($kind)));
    }

    private function ofCircuit(Request $request, Circuit $circuit): PlantBench
    {
        $circuit->loadMissing('site', 'plant');

        return $this->bench($request, $circuit->known(), $this->folds->good($circuit));
    }

    private static function none(Circuit $circuit, CannotStand $reason): View
    {
        return view('plant.none', ['circuit' => $circuit, 'reason' => $reason->getMessage()]);
    }

    /** @param  list<Findings>  $good */
    private function bench(Request $request, Known $circuit, array $good = []): PlantBench
    {
        $units = $request->user()->units();
        $rules = HouseRuleChoice::inForce();
        $twin = $this->twins->of($circuit, $rules, $good);

        return new PlantBench($twin, $rules, new BenchInputs($request->query->all(), $units), $units);
    }

    /**
     * htmx asks for the answer alone, but for the whole page when it goes back in history; the address keeps what is
     * set.
     *
     * @param  array{circuit: ?Circuit, at: string, title: string}  $told
     */
    private function page(Request $request, PlantBench $bench, array $told): Response
    {
        $alone = $request->hasHeader('HX-Request') && ! $request->hasHeader('HX-History-Restore-Request');
        $set = array_filter(
            $request->query->all(),
            static fn (mixed $one): bool => is_string($one) && $one !== '',
        );
        $address = $told['at'].($set === [] ? '' : '?'.http_build_query($set));

        return response()
            ->view($alone ? 'plant.answer' : 'plant.show', ['bench' => $bench] + $told)
            ->withHeaders($alone ? ['HX-Replace-Url' => $address] : []);
    }

    private function ran(Request $request, PlantBench $bench): View
    {
        $length = RunLength::tryFrom($request->integer('hours')) ?? RunLength::Hour;

        return view('plant.run', ['run' => $bench->run($length), 'length' => $length]);
    }
}
