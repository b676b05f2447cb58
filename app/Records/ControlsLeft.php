<?php

namespace App\Records;

use App\Models\Circuit;
use App\Models\Visit;
use Metrum\Work\ControlPosition;
use Metrum\Work\Response;
use Metrum\Work\VisitFold;

/** How the controls of a circuit were left: each as it was found last, with what it was moved since. */
final readonly class ControlsLeft
{
    /** @var list<VisitFold> of the last visits at which something was moved, latest first */
    private array $folds;

    public function __construct(private Circuit $circuit, private Judge $judge, Folds $folds)
    {
        $this->folds = $folds->moved($circuit->id);
    }

    /** @return list<ControlPosition> */
    public function all(): array
    {
        $moves = [];
        foreach (array_reverse($this->folds) as $fold) {
            array_push($moves, ...$fold->moves);
        }

        return ControlPosition::all($moves);
    }

    /** @return list<Response> what was learned of them until the last of these visits: as kept, else worked now */
    public function learned(): array
    {
        $kept = ($this->folds[0] ?? null)?->learned;
        $latest = $kept === null ? Visit::withMoves($this->circuit->id)->first() : null;

        return $latest === null
            ? $kept ?? []
            : $this->judge->assessment($latest->setRelation('circuit', $this->circuit))->responses->everKnown();
    }
}
