<?php

namespace App\Records;

use App\Models\Circuit;
use App\Models\Visit;
use Illuminate\Support\Facades\DB;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\CircuitChanged;

/** Changes circuits, and tells their open visits; what was closed stays judged by the circuit as it was. */
final readonly class CircuitBook
{
    public function __construct(private Author $author, private \DateTimeImmutable $at, private Judge $judge)
    {
    }

    /** @param  array{name: string, notes: ?string}  $named */
    public function change(Circuit $circuit, array $named, CircuitSheet $sheet): void
    {
        DB::transaction(function () use ($circuit, $named, $sheet): void {
            $circuit->fill($named);
            $circuit->describe($sheet->system, $sheet->design);
            $this->tell(...$circuit->plant->circuits()->with('plant', 'site')->get()->all());
        });
    }

    /**
     * A visit told something of its circuit: the circuit, and whoever else stands at it, knows it too.
     *
     * @param  list<Fact>  $facts
     */
    public function follow(Visit $visit, array $facts): void
    {
        foreach ($facts as $fact) {
            if ($fact->kind === FactKind::Circuit) {
                $told = CircuitChanged::circuit($fact->content);
                $visit->circuit->become($told);
                $this->tell(...$visit->circuit->plant->circuits()->with('plant', 'site')->get()->all());
            }
        }
    }

    /** Open visits of circuits that are no longer as their visit knows them learn it by a fact. */
    public function tell(Circuit ...$circuits): void
    {
        foreach ($circuits as $circuit) {
            $content = CircuitChanged::to($circuit->known());
            foreach (Visit::stillOpen()->where('circuit_id', $circuit->id)->get() as $visit) {
                if ($visit->circuitNow() != CircuitChanged::circuit($content)) {
                    (new Recorder($visit, $this->author, new Making($this->at)))->append(FactKind::Circuit, $content);
                    $this->judge->again($visit->setRelation('circuit', $circuit));
                }
            }
        }
    }
}
