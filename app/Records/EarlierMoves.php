<?php

namespace App\Records;

use App\Models\Visit;
use Metrum\Circuit\Control;
use Metrum\Plant\Twins;
use Metrum\Work\Assessment;

/** What the controls of a circuit did at earlier visits: their settled readings, to learn from. */
final readonly class EarlierMoves
{
    /** Visits that are looked back to. */
    private const VISITS = 6;

    public function __construct(private Twins $twins)
    {
    }

    /** @return list<array{Control, string, list<list<array{float, float}>>}> by control and subject */
    public function of(Visit $visit): array
    {
        $points = [];
        foreach ($this->visits($visit) as $earlier) {
            $log = $earlier->log();
            $assessment = new Assessment($log, $earlier->chapters($log), $earlier->rules(), $this->twins);
            array_push($points, ...$assessment->responses->points());
        }

        return $points;
    }

    /** @return iterable<int, Visit> latest first */
    private function visits(Visit $visit): iterable
    {
        return Visit::withMoves($visit->circuit_id)
            ->where('opened_at', '<', $visit->opened_at)
            ->limit(self::VISITS)
            ->get();
    }
}
