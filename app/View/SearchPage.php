<?php

namespace App\View;

use App\Models\Circuit;
use App\Models\Cylinder;
use App\Models\FactRecord;
use App\Models\FollowUp;
use App\Models\Site;
use App\Models\User;
use App\Models\Visit;
use App\Records\Search;
use App\Records\SearchList;
use App\Records\SearchState;
use Illuminate\Contracts\Pagination\LengthAwarePaginator;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Metrum\Work\Record\HistoryFigure;

/**
 * What was found in the record, list by list.
 *
 * @phpstan-type Row array<string, string|int|null>
 */
final class SearchPage
{
    private const ON_A_PAGE = 15;

    /** Rows that are read at once for a table. */
    private const AT_ONCE = 500;

    /** Columns that are days. */
    private const DAYS = ['last_visit', 'due', 'done', 'at'];

    private Explain $explain;

    /** @var array<string, string>|null figures that drift, by circuit */
    private ?array $drifting = null;

    public function __construct(public readonly Search $search, User $user)
    {
        $this->explain = new Explain($user->units());
    }

    /** @return list<SearchList> those that the question is about */
    public function lists(): array
    {
        return array_values(array_filter(
            SearchList::cases(),
            fn (SearchList $one): bool => $this->search->state === null || $one->hasState(),
        ));
    }

    /** @return LengthAwarePaginator<int, array<string, string|int|null>> */
    public function page(SearchList $list): LengthAwarePaginator
    {
        return $this->search
            ->of($list)
            ->paginate(self::ON_A_PAGE, pageName: $list->value)
            ->withQueryString()
            ->through(fn (Model $one): array => self::inWords($this->row($one)));
    }

    /**
     * @param  Row  $row
     * @return Row with its days as people write them
     */
    private static function inWords(array $row): array
    {
        foreach (array_intersect(self::DAYS, array_keys(array_filter($row))) as $key) {
            $row[$key] = Carbon::parse((string) $row[$key])->format('j M Y');
        }

        return $row;
    }

    /** @return list<Row> */
    public function all(SearchList $list): array
    {
        $rows = [];
        for ($page = 0; ; $page++) {
            $found = $this->search->of($list)->offset($page * self::AT_ONCE)->limit(self::AT_ONCE)->get();
            foreach ($found as $one) {
                $rows[] = $this->row($one);
            }
            if ($found->count() < self::AT_ONCE) {
                return $rows;
            }
        }
    }

    /** @return Row by the columns of its list */
    private function row(Model $found): array
    {
        return match (true) {
            $found instanceof Circuit => $this->circuit($found),
            $found instanceof Site => [
                'site' => $found->name,
                'place' => $found->place,
                'contact' => $found->contact,
                'circuits' => (int) $found->getAttribute('circuits_count'),
                'address' => route('sites.show', $found),
            ],
            $found instanceof FollowUp => [
                'due' => $found->due_on->format('Y-m-d'),
                'what' => $found->what,
                'site' => $found->circuit->site->name,
                'circuit' => $found->circuit->name,
                'done' => $found->done_at?->format('Y-m-d'),
                'address' => route('circuits.show', $found->circuit),
            ],
            $found instanceof FactRecord => $this->note($found),
            $found instanceof Cylinder => [
                'cylinder' => $found->label,
                'refrigerant' => $found->refrigerant,
                'recovered' => $found->is_recovered ? 'yes' : 'no',
                'note' => $found->note,
                'address' => route('cylinders.show', $found),
            ],
            default => throw new \LogicException('Not a search result: '.$found::class),
        };
    }

    /** @return Row */
    private function circuit(Circuit $circuit): array
    {
        $this->drifting ??= Search::drifting();
        $words = array_filter(preg_split('/[\s,]+/', $this->drifting[$circuit->id] ?? '') ?: []);
        $figures = array_map(
            static fn (string $key): string => HistoryFigure::tryFrom($key)?->row()->label ?? '',
            array_values($words),
        );

        return [
            'site' => $circuit->site->name,
            'circuit' => $circuit->name,
            'kind' => $circuit->coolingKind()?->label(),
            'refrigerant' => $circuit->refrigerant(),
            'last_visit' => Visit::ofPlant($circuit)->latest('opened_at')->first()?->opened_at->format('Y-m-d'),
            'drifting' => implode(', ', array_unique(array_filter($figures))),
            'address' => route('circuits.show', $circuit),
        ];
    }

    /** @return Row */
    private function note(FactRecord $kept): array
    {
        $visit = $kept->visit;

        return [
            'at' => $kept->taken_at->format('Y-m-d H:i'),
            'what' => $this->explain->fact($kept->fact()),
            'site' => $visit?->circuit->site->name,
            'circuit' => $visit?->circuit->name,
            'address' => $visit === null ? null : route('visits.report', $visit),
        ];
    }

    /** @return list<SearchState> */
    public function states(): array
    {
        return SearchState::cases();
    }

    /** @return array<string, string> the question, with another state */
    public function asking(?SearchState $state): array
    {
        return array_filter(['q' => $this->search->typed, 'state' => $state->value ?? '']);
    }
}
