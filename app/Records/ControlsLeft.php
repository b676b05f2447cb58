<?php

namespace App\Records;

use App\Models\Circuit;
use App\Models\Visit;
use Metrum\Work\Assessment;
use Metrum\Work\ControlPosition;

/** How the controls of a circuit were left: each as it was found last, with what it was moved since. */
final readonly class ControlsLeft
{
    public function __construct(private Circuit $circuit, private Judge $judge, private Folds $folds)
    {
    }

    /** @return list<ControlPosition> */
    public function all(): array
    {
        $moves = [];
        foreach (array_reverse($this->folds->moved($this->circuit->id)) as $fold) {
            array_push($moves, ...$fold->moves);
        }

        return ControlPosition::all($moves);
    }

    /** The work of the visit at which something was moved last, which knows the earlier ones; null: there is none. */
    public function work(): ?Assessment
    {
        $latest = Visit::withMoves($this->circuit->id)->first();

        return $latest === null
            ? null
            : $this->judge->of($latest->setRelation('circuit', $this->circuit), 0)->assessment;
    }
}
