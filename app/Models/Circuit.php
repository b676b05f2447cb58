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
use Metrum\Installation\CircuitReader;
use Metrum\Installation\CircuitWriter;
use Metrum\Installation\Installation;
use Metrum\Installation\Kind;
use Metrum\Installation\PartId;

/**
 * One circuit of a plant, as people name it. What it is made of stands in the document of its plant.
 *
 * @property string $id
 * @property string $plant_id
 * @property string $name
 * @property string $part  which of its plant it is
 * @property ?string $kind  what a person picked, to search by
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

    protected $table = 'parts';

    protected $fillable = ['plant_id', 'part', 'name', 'kind', 'notes'];

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
        $known = Known::fromWords($system, $design, $site->atmosphere());
        $plant ??= new Plant(['site_id' => $site->id]);
        $plant->setRelation('site', $site);
        $part = $plant->exists ? $plant->known()->nextCircuit() : PartId::circuit();
        $plant->describe($part, $known);

        return self::named($plant, $part, $name, $known);
    }

    /**
     * All circuits of a plant that is told as a whole.
     *
     * @param  array<string, string>  $names  what people call its circuits, by their part
     * @return array<string, self> by their part
     */
    public static function establishAll(
        Site $site,
        Installation $installation,
        string $name,
        array $names = [],
    ): array {
        $plant = (new Plant(['site_id' => $site->id]))->setRelation('site', $site);
        $plant->keep($installation);
        $circuits = [];
        foreach ($installation->branches as $branch) {
            $part = $branch->part->value;
            $own = $names[$part] ?? (count($installation->branches) === 1 ? $name : "$name, $part");
            $known = $installation->circuit($branch->part);
            $circuits[$part] = self::named($plant, $branch->part, $own, $known);
        }

        return $circuits;
    }

    private static function named(Plant $plant, PartId $part, string $name, Known $known): self
    {
        $circuit = new self(['plant_id' => $plant->id, 'part' => $part->value, 'name' => $name]);
        $circuit->fill(['kind' => $known->kind?->value])->setRelation('plant', $plant)->save();

        return $circuit->setRelation('site', $plant->site);
    }

    /**
     * Takes on other words and design values, and gives its plant those that are shared.
     *
     * @param  array<string, mixed>  $system  all words of the visit file
     * @param  array<string, float|int>  $design
     */
    public function describe(array $system, array $design): void
    {
        $this->become(Known::fromWords($system, $design, $this->site->atmosphere()));
    }

    public function become(Known $known): void
    {
        $this->plant->setRelation('site', $this->site)->describe($this->partId(), $known);
        $this->fill(['kind' => $known->kind?->value])->save();
    }

    public function partId(): PartId
    {
        return PartId::of($this->part);
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
        return array_diff_key(CircuitWriter::system($this->known()), [CircuitReader::ATMOSPHERE => true]);
    }

    /** @return array<string, float|int> */
    public function designWords(): array
    {
        return CircuitWriter::design($this->known());
    }

    /** The circuit as the core knows it, in the air of its site. @throws Refused where it was harmed from outside */
    public function known(): Known
    {
        return $this->plant->setRelation('site', $this->site)->known()->circuit($this->partId());
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
        $patterns = self::patterns($typed);
        if ($patterns === []) {
            return $query->whereIn('parts.id', []);
        }
        foreach ($patterns as $like) {
            self::having($query, $like);
        }

        return $query;
    }

    /** @return list<string> the words that were typed, each as a pattern to be found anywhere */
    public static function patterns(string $typed): array
    {
        // What a database takes for any letter is none to a person.
        $words = preg_split('/[\s%_\\\\]+/', $typed, self::MOST_WORDS + 1, PREG_SPLIT_NO_EMPTY);
        $words = array_slice($words === false ? [] : $words, 0, self::MOST_WORDS);

        return array_map(static fn (string $word): string => '%'.$word.'%', $words);
    }

    /**
     * Narrows a query to circuits in which a word is found: by name, kind, refrigerant, weak points or site.
     *
     * @param  Builder<covariant Model>  $query  of circuits
     * @param  string  $like  as a pattern
     * @return Builder<covariant Model>
     */
    public static function having(Builder $query, string $like): Builder
    {
        return $query->where(static function (Builder $any) use ($like): void {
            $any->whereLike('parts.name', $like)
                ->orWhereLike('parts.kind', $like)
                ->orWhereLike('parts.notes', $like)
                ->orWhereHas(
                    'plant',
                    static fn (Builder $plant): Builder => $plant
                        ->whereLike('refrigerant', $like)
                        ->orWhereLike('plants.name', $like),
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
