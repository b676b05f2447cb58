<?php

namespace App\Records;

use App\Models\Circuit;
use App\Models\FactRecord;
use App\Models\Fold;
use App\Models\Visit;
use Illuminate\Support\Collection;
use Metrum\Findings\Findings;
use Metrum\Twin\Twins;
use Metrum\Work\Assessment;
use Metrum\Work\Record\Departures;
use Metrum\Work\VisitFold;

/**
 * Visits that are over, as later ones ask for them. What a closed visit folds to is kept when it is closed, and made
 * anew where its edition, what it rests on or its log has changed since.
 */
final readonly class Folds
{
    /** Good visits that a twin is drawn to. */
    private const GOOD = 4;

    /** Visits with moves that are looked back to. */
    private const MOVED = 6;

    public function __construct(private Twins $twins, private Edition $edition)
    {
    }

    /** @return list<Findings> what was found at the last visits that were marked as running well, but for one */
    public function good(Circuit $circuit, ?Visit $except = null): array
    {
        $visits = Visit::thatRanWell($circuit->id)->whereKeyNot($except->id ?? '')->limit(self::GOOD)->get();

        return array_map(static fn (VisitFold $fold): Findings => $fold->findings, array_values($this->of($visits)));
    }

    /** @return list<VisitFold> of the last visits of a circuit at which something was moved, latest first */
    public function moved(string $circuit, ?\DateTimeInterface $before = null): array
    {
        $visits = Visit::withMoves($circuit)->limit(self::MOVED);
        $visits = $before === null ? $visits : $visits->where('opened_at', '<', $before);

        return array_values($this->of($visits->get()));
    }

    /** Keeps what a visit folds to, as long as it is closed. */
    public function keep(Visit $visit, Assessment $assessment): void
    {
        if ($visit->isOpen()) {
            Fold::query()->whereKey($visit->id)->delete();

            return;
        }
        $last = self::lastFacts([$visit->id])[$visit->id] ?? 0;
        $fold = base64_encode(serialize(VisitFold::of($assessment, knowsEarlier: true)));
        $departures = json_encode($this->departures($visit), JSON_THROW_ON_ERROR);
        $row = ['visit_id' => $visit->id, 'last_fact' => $last, 'fold' => $fold, 'departures' => $departures];
        Fold::query()->upsert([$row + $this->restsOn($visit)], ['visit_id']);
        $this->keepDrift($visit);
    }

    /** @return array<string, array<string, mixed>> of each circuit that was walked, by its part */
    private function departures(Visit $visit): array
    {
        $circuits = $visit->isOfRack() ? $visit->circuit->plant->circuits()->get() : [$visit->circuit];
        $kept = [];
        foreach ($circuits as $circuit) {
            $window = Visit::query()->findOrFail($visit->id)->walking($circuit)->window();
            $kept[$circuit->part] = Departures::of($window, $visit->rules(), $this->twins)->toArray();
        }

        return $kept;
    }

    /** What drifts at a plant stands with its last closed visit. */
    private function keepDrift(Visit $visit): void
    {
        $drifting = [];
        foreach ($visit->circuit->plant->circuits()->get() as $circuit) {
            $drifting[$circuit->part] = FigureRecord::of($circuit)->drifting();
        }
        $last = Visit::ofPlant($visit->circuit)->whereNotNull('closed_at')->latest('opened_at')->value('id');
        Fold::query()->whereKey($last)->update(['drifting' => implode(', ', array_filter($drifting))]);
    }

    /**
     * @param  Collection<int, Visit>  $visits
     * @return array<string, VisitFold> by visit
     */
    private function of(Collection $visits): array
    {
        $ids = array_values($visits->pluck('id')->all());
        $kept = Fold::query()->whereKey($ids)->get()->keyBy('visit_id');
        $lastFacts = $kept->isEmpty() ? [] : self::lastFacts($ids);
        $folds = [];
        foreach ($visits as $visit) {
            $fold = $kept->get($visit->id);
            $stands = $fold !== null &&
                ! $visit->isOpen() &&
                (int) $fold->last_fact === ($lastFacts[$visit->id] ?? 0) &&
                $fold->only(['edition', 'rests_on']) === $this->restsOn($visit);
            $folds[$visit->id] = ($stands ? self::unfolded($fold->fold) : null) ?? $this->made($visit);
        }

        return $folds;
    }

    private static function unfolded(string $kept): ?VisitFold
    {
        $fold = @unserialize((string) base64_decode($kept, true));

        return $fold instanceof VisitFold ? $fold : null;
    }

    private function made(Visit $visit): VisitFold
    {
        $visit->loadMissing('circuit');

        return VisitFold::of(new Assessment($visit->window(), $visit->rules(), $this->twins), knowsEarlier: false);
    }

    /** @return array{edition: string, rests_on: string} what else a fold follows from than its facts */
    private function restsOn(Visit $visit): array
    {
        $rests = [$visit->installation, $visit->house_rules, $visit->opened_at->getTimestamp()];

        return [
            'edition' => $this->edition->verdicts(),
            'rests_on' => hash('xxh128', json_encode($rests, JSON_THROW_ON_ERROR)),
        ];
    }

    /**
     * @param  array<string>  $visits
     * @return array<string, int> place of the last fact of each in the record
     */
    private static function lastFacts(array $visits): array
    {
        return FactRecord::query()
            ->toBase()
            ->whereIn('occasion_id', $visits)
            ->groupBy('occasion_id')
            ->selectRaw('occasion_id, max(seq) as last')
            ->pluck('last', 'occasion_id')
            ->map(static fn (mixed $last): int => (int) $last)
            ->all();
    }
}
