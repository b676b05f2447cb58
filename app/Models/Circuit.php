<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Metrum\Circuit\Circuit as Plant;
use Metrum\Circuit\Kind;
use Metrum\Exchange\VisitReader;
use Metrum\Findings\Findings;

/**
 * @property string $id
 * @property string $site_id
 * @property string $name
 * @property array<string, mixed> $system
 * @property array<string, float|int> $design
 * @property ?string $notes
 * @property Site $site
 */
final class Circuit extends Model
{
    use HasUlids;

    protected $fillable = ['site_id', 'name', 'system', 'design', 'notes'];

    protected function casts(): array
    {
        return ['system' => 'array', 'design' => 'array'];
    }

    /** @return BelongsTo<Site, $this> */
    public function site(): BelongsTo
    {
        return $this->belongsTo(Site::class);
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

    /** The circuit as the core knows it, with the atmosphere of its site. */
    public function plant(): Plant
    {
        return VisitReader::plant(
            $this->system + ['atmospheric_kpa' => $this->site->atmosphere()->pascal / 1e3],
            $this->design,
        );
    }

    /** @var ?list<Findings> */
    private ?array $good = null;

    /** @return list<Findings> what was found at the last visits that were marked as running well, but for one */
    public function goodFindings(?Visit $except = null): array
    {
        if ($this->good === null) {
            $visits = Visit::query()
                ->where('circuit_id', $this->id)
                ->whereNotNull('ran_well_at')
                ->where('id', '!=', $except->id ?? '')
                ->latest('opened_at')
                ->limit(4)
                ->get();
            $this->good = array_values(
                $visits
                    ->map(fn (Visit $visit): Findings => $visit->setRelation('circuit', $this)->findings())
                    ->all(),
            );
        }

        return $this->good;
    }

    public function kind(): ?Kind
    {
        $kind = $this->system['kind'] ?? null;

        return is_string($kind) ? Kind::tryFrom($kind) : null;
    }

    public function refrigerant(): string
    {
        $name = $this->system['refrigerant'] ?? '';

        return is_string($name) ? $name : '';
    }

    /**
     * Circuits whose name, kind, refrigerant or site matches every word typed.
     *
     * @return Builder<self>
     */
    public static function matching(string $typed): Builder
    {
        $query = self::query();
        foreach (array_slice(preg_split('/\s+/', trim($typed)) ?: [], 0, 6) as $word) {
            $like = '%'.addcslashes(mb_strtolower($word), '%_\\').'%';
            $query->where(static function (Builder $any) use ($like): void {
                $any->whereRaw("lower(circuits.name) like ? escape '\\'", [$like])
                    ->orWhereRaw("lower(circuits.system) like ? escape '\\'", [str_replace(' ', '_', $like)])
                    ->orWhereHas(
                        'site',
                        static fn (Builder $site): Builder => $site
                            ->whereRaw("lower(name) like ? escape '\\'", [$like])
                            ->orWhereRaw("lower(place) like ? escape '\\'", [$like]),
                    );
            });
        }

        return $query;
    }
}
