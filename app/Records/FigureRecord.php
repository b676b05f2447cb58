<?php

namespace App\Records;

use App\Models\Circuit;
use App\Models\Visit;
use Metrum\Work\Record\Departures;
use Metrum\Work\Record\FigureHistory;
use Metrum\Work\Record\RecordedVisit;

/** The figures of a circuit over all of its closed visits, as they were kept when each was closed. */
final readonly class FigureRecord
{
    /**
     * @param  list<RecordedVisit>  $visits  oldest first
     * @param  int  $missing  closed visits of which nothing was kept: they were closed before anything was
     */
    private function __construct(public array $visits, public int $missing)
    {
    }

    public static function of(Circuit $circuit): self
    {
        $rows = Visit::ofPlant($circuit)
            ->toBase()
            ->leftJoin('folds', 'folds.visit_id', '=', 'occasions.id')
            ->whereNotNull('occasions.closed_at')
            ->orderBy('occasions.opened_at')
            ->get(['occasions.id', 'occasions.ran_well_at', 'folds.departures']);
        $visits = [];
        $missing = 0;
        foreach ($rows as $row) {
            $kept = is_string($row->departures) ? json_decode($row->departures, true) : null;
            $missing += is_array($kept) ? 0 : 1;
            $own = is_array($kept) ? $kept[$circuit->part] ?? null : null;
            $departures = Departures::fromArray(is_array($own) ? $own : []);
            $visits[] = new RecordedVisit($row->id, $row->ran_well_at !== null, $departures);
        }

        return new self($visits, $missing);
    }

    /** @return list<FigureHistory> of the figures that were ever read */
    public function all(): array
    {
        return FigureHistory::all($this->visits);
    }

    /** Keys of the figures that drift: "split level". */
    public function drifting(): string
    {
        $told = array_filter($this->all(), static fn (FigureHistory $one): bool => $one->told() !== null);

        return implode(' ', array_map(static fn (FigureHistory $one): string => $one->figure->value, $told));
    }
}
