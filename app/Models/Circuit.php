<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOneThrough;
use Metrum\Data\Refused;
use Metrum\Installation\Circuit as Known;
use Metrum\Installation\DesignKey;
use Metrum\Installation\Kind;
use Metrum\Installation\SystemKey;

/**
 * One circuit of a plant: its own words and design values; what it shares stands with its plant.
 *
 * @property string $id
 * @property string $plant_id
 * @property string $name
 * @property ?string $kind
 * @property array<string, mixed> $system its own other words of the visit file
 * @property array<string, float|int> $design
 * @property ?string $notes
 * @property Plant $plant
 * @property Site $site
 */
final class Circuit extends Model
{
    use HasUlids;

    /** Words of a search that count. */
    private const MOST_WORDS = 6;

    /** Longest notes that a circuit has. */
    public const LONGEST_NOTES = 4000;

    protected $fillable = ['plant_id', 'name', 'kind', 'system', 'design', 'notes'];

    protected function casts(): array
    {
        return ['system' => 'array', 'design' => 'array'];
    }

    /**
     * A circuit with a plant of its own, or on one that is there.
     *
     * @param  array<string, mixed>  $system  all words of the visit file
     * @param  array<string, float|int>  $design
     */
    public static function establish(
        Site $site,
        string $name,
        array $system,
        array $design,
        ?Plant $plant = null,
    ): self {
        $plant ??= $site->plants()->create(['refrigerant' => '', 'system' => [], 'design' => []]);
        $circuit = new self(['plant_id' => $plant->id, 'name' => $name]);
        $circuit->setRelation('plant', $plant->setRelation('site', $site));
        $circuit->describe($system, $design);

        return $circuit;
    }

    /**
     * Takes on other words and design values, and gives its plant those that are shared.
     *
     * @param  array<string, mixed>  $system  all words of the visit file
     * @param  array<string, float|int>  $design
     */
    public function describe(array $system, array $design): void
    {
        $sharedWords = self::keys(SystemKey::cases());
        $sharedFigures = self::keys(DesignKey::cases());
        $refrigerant = $system[SystemKey::Refrigerant->value] ?? '';
        $kind = $system[SystemKey::Kind->value] ?? null;
        $plain = array_diff_key($system, [
            SystemKey::Refrigerant->value => true,
            SystemKey::Kind->value => true,
        ]);
        $this->plant->update([
            'refrigerant' => is_string($refrigerant) ? $refrigerant : '',
            'system' => array_intersect_key($plain, $sharedWords),
            'design' => array_intersect_key($design, $sharedFigures),
        ]);
        $this->fill([
            'kind' => is_string($kind) ? $kind : null,
            'system' => array_diff_key($plain, $sharedWords),
            'design' => array_diff_key($design, $sharedFigures),
        ])->save();
    }

    /** @return BelongsTo<Plant, $this> */
    public function plant(): BelongsTo
    {
        return $this->belongsTo(Plant::class);
    }

    /** @return HasOneThrough<Site, Plant, $this> */
    public function site(): HasOneThrough
    {
        return $this->hasOneThrough(Site::class, Plant::class, 'id', 'id', 'plant_id', 'site_id');
    }

    /** @return HasMany<Visit, $this> */
    public function visits(): HasMany
    {
        return $this->hasMany(Visit::class)->latest('opened_at');
    }

    /** @return HasMany<FollowUp, $this> */
    public function followUps(): HasMany
    {
        return $this->hasMany(FollowUp::class)->orderBy('due_on');
    }

    /** @return array<string, mixed> all its words as the visit file gives them, without the atmosphere */
    public function systemWords(): array
    {
        $named = [
            SystemKey::Kind->value => $this->kind,
            SystemKey::Refrigerant->value => $this->plant->refrigerant,
        ];

        return array_filter($named, static fn (?string $one): bool => $one !== null) +
            $this->system +
            $this->plant->system;
    }

    /** @return array<string, float|int> */
    public function designWords(): array
    {
        return $this->design + $this->plant->design;
    }

    /** The circuit as the core knows it, in the air of its site. @throws Refused where it was harmed from outside */
    public function known(): Known
    {
        return Known::fromWords($this->systemWords(), $this->designWords(), $this->site->atmosphere());
    }

    public function coolingKind(): ?Kind
    {
        return Kind::tryFrom((string) $this->kind);
    }

    public function refrigerant(): string
    {
        return $this->plant->refrigerant;
    }

    /**
     * Circuits whose name, kind, refrigerant or site matches every word typed.
     *
     * @return Builder<self>
     */
    public static function matching(string $typed): Builder
    {
        $query = self::query();
        // What a database takes for any letter is none to a person.
        $words = preg_split('/[\s%_\\\\]+/', $typed, self::MOST_WORDS + 1, PREG_SPLIT_NO_EMPTY);
        $words = array_slice($words === false ? [] : $words, 0, self::MOST_WORDS);
        if ($words === []) {
            return $query->whereIn('circuits.id', []);
        }
        foreach ($words as $word) {
            $like = '%'.$word.'%';
            $query->where(static function (Builder $any) use ($like): void {
                $any->whereLike('circuits.name', $like)
                    ->orWhereLike('circuits.kind', $like)
                    ->orWhereHas(
                        'plant',
                        static fn (Builder $plant): Builder => $plant->whereLike('refrigerant', $like),
                    )
                    ->orWhereHas(
                        'site',
                        static fn (Builder $site): Builder => $site->where(
                            static fn (Builder $words): Builder => $words
                                ->whereLike('sites.name', $like)
                                ->orWhereLike('sites.place', $like),
                        ),
                    );
            });
        }

        return $query;
    }

    /**
     * @param  list<SystemKey|DesignKey>  $cases
     * @return array<string, true> the keys that belong to the plant
     */
    private static function keys(array $cases): array
    {
        $shared = array_filter($cases, static fn (SystemKey|DesignKey $key): bool => $key->isShared());

        return array_fill_keys(array_column($shared, 'value'), true);
    }

    /** Adds a weak point to its notes, once, as long as they have room for it. */
    public function keepWeakPoint(string $point): void
    {
        $notes = trim((string) $this->notes);
        $longer = ltrim("$notes; $point", '; ');
        if (! str_contains($notes, $point) && mb_strlen($longer) <= self::LONGEST_NOTES) {
            $this->update(['notes' => $longer]);
        }
    }
}
