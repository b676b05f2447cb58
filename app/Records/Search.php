<?php

namespace App\Records;

use App\Models\Circuit;
use App\Models\Cylinder;
use App\Models\FactRecord;
use App\Models\Fold;
use App\Models\FollowUp;
use App\Models\HouseRuleChoice;
use App\Models\Site;
use App\Models\Visit;
use Illuminate\Database\Eloquent\Builder;
use Metrum\Knowledge\HouseRule;
use Metrum\Log\FactKind;

/** The record of the workshop, by words and by the state of circuits. Every word has to be found in a row. */
final readonly class Search
{
    /** @var list<string> as patterns */
    private array $words;

    public function __construct(public string $typed, public ?SearchState $state, private Stock $stock)
    {
        $this->words = Circuit::patterns($typed);
    }

    /** @return Builder<covariant \Illuminate\Database\Eloquent\Model> in the order in which it is shown */
    public function of(SearchList $list): Builder
    {
        return match ($list) {
            SearchList::Circuits => $this->circuits(),
            SearchList::Sites => $this->sites(),
            SearchList::FollowUps => $this->followUps(),
            SearchList::Notes => $this->notes(),
            SearchList::Cylinders => $this->cylinders(),
        };
    }

    /** @return Builder<Circuit> */
    private function circuits(): Builder
    {
        $query = Circuit::query()->with('site', 'plant')->orderBy('name');
        foreach ($this->words as $word) {
            Circuit::having($query, $word);
        }

        return $this->state === null ? $query : $query->whereIn('parts.id', $this->inState($this->state));
    }

    /** @return Builder<Site> */
    private function sites(): Builder
    {
        $query = Site::query()->withCount('circuits')->orderBy('name');

        return $this->where($query, ['name', 'place', 'contact']);
    }

    /** @return Builder<FollowUp> what is not done first */
    private function followUps(): Builder
    {
        $query = FollowUp::query()
            ->with('circuit.site')
            ->orderByRaw('done_at is not null')
            ->orderBy('due_on');
        match ($this->state) {
            SearchState::Open => $query->whereNull('done_at'),
            SearchState::Overdue => $query->whereNull('done_at')->where('due_on', '<', today()),
            null => $query,
            SearchState::Losing,
            SearchState::Drifting => $query->whereIn('circuit_id', $this->inState($this->state)),
        };

        return $this->where($query, ['what'], ofCircuit: true);
    }

    /** @return Builder<FactRecord> what was written, and what was moved with its reason; newest first */
    private function notes(): Builder
    {
        $query = FactRecord::query()
            ->with('visit.circuit.site')
            ->whereIn('kind', [FactKind::Note->value, FactKind::Move->value, FactKind::Restored->value])
            ->whereHas('visit')
            ->whereNotExists(
                FactRecord::query()
                    ->toBase()
                    ->from('facts', 'later')
                    ->whereColumn('later.occasion_id', 'facts.occasion_id')
                    ->where('later.kind', FactKind::Undo->value)
                    ->whereRaw("cast(later.data as text) like '%' || facts.id || '%'"),
            )
            ->orderByDesc('taken_at')
            ->orderByDesc('seq');
        if ($this->state !== null) {
            $query->whereHas('visit', fn (Builder $visit): Builder => $visit->whereIn(
                'circuit_id',
                $this->inState($this->state),
            ));
        }
        foreach ($this->words as $word) {
            $query->where(static fn (Builder $any): Builder => $any
                ->whereRaw('lower(cast(facts.data as text)) like ?', [self::asKept($word)])
                ->orWhereLike('key', str_replace(' ', '_', $word))
                ->orWhereHas('visit.circuit', static fn (Builder $of): Builder => Circuit::having($of, $word)));
        }

        return $query;
    }

    /** A word as it stands in what is kept as JSON: letters beyond ASCII are written out there. */
    private static function asKept(string $word): string
    {
        return '%'.str_replace('\\', '_', mb_strtolower(trim((string) json_encode(trim($word, '%')), '"'))).'%';
    }

    /** @return Builder<Cylinder> */
    private function cylinders(): Builder
    {
        return $this->where(Cylinder::query()->orderBy('label'), ['label', 'refrigerant', 'note']);
    }

    /**
     * @template T of \Illuminate\Database\Eloquent\Model
     *
     * @param  Builder<T>  $query
     * @param  non-empty-list<string>  $columns
     * @param  bool  $ofCircuit  whether a word may be found in the circuit that it belongs to
     * @return Builder<T>
     */
    private function where(Builder $query, array $columns, bool $ofCircuit = false): Builder
    {
        foreach ($this->words as $word) {
            $query->where(static function (Builder $any) use ($columns, $word, $ofCircuit): void {
                foreach ($columns as $column) {
                    $any->orWhereLike($column, $word);
                }
                if ($ofCircuit) {
                    $any->orWhereHas(
                        'circuit',
                        static fn (Builder $circuit): Builder => Circuit::having($circuit, $word),
                    );
                }
            });
        }

        return $query;
    }

    /** @return list<string> ids of circuits */
    public function inState(SearchState $state): array
    {
        $ids = match ($state) {
            SearchState::Open => [
                ...Visit::stillOpen()->pluck('circuit_id'),
                ...FollowUp::query()->whereNull('done_at')->pluck('circuit_id'),
            ],
            SearchState::Overdue => FollowUp::query()
                ->whereNull('done_at')
                ->where('due_on', '<', today())
                ->pluck('circuit_id')
                ->all(),
            SearchState::Losing => $this->losing(),
            SearchState::Drifting => array_keys(self::drifting()),
        };

        return array_values(array_unique($ids));
    }

    /** @return array<string, string> keys of the figures that drift, by circuit */
    public static function drifting(): array
    {
        $last = Visit::query()
            ->toBase()
            ->whereNotNull('closed_at')
            ->groupBy('circuit_id')
            ->selectRaw('circuit_id, max(opened_at) as opened_at');

        return Fold::query()
            ->join('occasions', 'occasions.id', '=', 'folds.visit_id')
            ->joinSub($last, 'last', static fn ($on) => $on
                ->on('last.circuit_id', '=', 'occasions.circuit_id')
                ->on('last.opened_at', '=', 'occasions.opened_at'))
            ->where('folds.drifting', '!=', '')
            ->pluck('folds.drifting', 'occasions.circuit_id')
            ->all();
    }

    /** @return list<string> circuits of plants that lost more in twelve months than the house rule allows */
    private function losing(): array
    {
        $limit = HouseRuleChoice::inForce()->band(HouseRule::LeakThreshold)->low;
        $moved = array_unique(array_map(static fn ($one): string => $one->circuit, $this->stock->movements()));
        $losing = [];
        foreach (Circuit::query()->with('plant.site')->findMany($moved) as $circuit) {
            $circuit->setRelation('site', $circuit->plant->site);
            if (($this->stock->ledger($circuit)->rolling(now()) ?? 0.0) >= $limit) {
                array_push($losing, ...$circuit->plant->circuits()->pluck('id')->all());
            }
        }

        return $losing;
    }
}
