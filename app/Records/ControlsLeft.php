<?php

namespace App\Records;

use App\Models\Circuit;
use App\Models\Visit;
use Illuminate\Support\Collection;
use Metrum\Log\Log;
use Metrum\Work\Assessment;
use Metrum\Work\Left;

/** How the controls of a circuit were left: each as it was found last, with what it was moved since. */
final readonly class ControlsLeft
{
    private const VISITS = 6;

    /** @var Collection<int, Visit> at which something was moved, newest first */
    private Collection $visits;

    public function __construct(Circuit $circuit, private Judge $judge)
    {
        $this->visits = Visit::withMoves($circuit->id)
            ->limit(self::VISITS)
            ->get()
            ->each(static fn (Visit $visit) => $visit->setRelation('circuit', $circuit));
    }

    /** @return list<Left> */
    public function all(): array
    {
        $logs = $this->visits->reverse()->map(static fn (Visit $one): Log => $one->log());

        return Left::all(array_values($logs->all()));
    }

    /** The work of the visit at which something was moved last, which knows the earlier ones; null: there is none. */
    public function work(): ?Assessment
    {
        $latest = $this->visits->first();

        return $latest === null ? null : $this->judge->of($latest, 0)->assessment;
    }
}
