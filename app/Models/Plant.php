<?php

namespace App\Models;

use App\Models\Circuit as Kept;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Metrum\Data\Refused;
use Metrum\Installation\Circuit;
use Metrum\Installation\Installation;
use Metrum\Installation\InstallationReader;
use Metrum\Installation\InstallationWriter;
use Metrum\Installation\PartId;

/**
 * A plant with all that it is made of, as one document. A plain unit has one circuit.
 *
 * @property string $id
 * @property string $site_id
 * @property string $refrigerant  as its document says it, to search by
 * @property string $installation  its document
 * @property ?string $name  what people call it; null: by its circuits
 * @property ?array<string, string> $defrosts  its schedule as it was typed, by field
 * @property ?array<string, string> $trend_columns  how its controller's export is read, by field
 * @property ?array<string, float|int> $replacement  what was entered where its replacement is weighed, by field
 * @property ?Carbon $created_at
 * @property Site $site
 */
final class Plant extends Model
{
    use HasUlids;

    protected $fillable = [
        'site_id',
        'refrigerant',
        'installation',
        'name',
        'defrosts',
        'trend_columns',
        'replacement',
    ];

    protected function casts(): array
    {
        return ['defrosts' => 'array', 'trend_columns' => 'array', 'replacement' => 'array'];
    }

    /** As people call it. */
    public function label(): string
    {
        return $this->name ?? 'Rack';
    }

    /** What it is made of, in the air of its site. @throws Refused where it was harmed from outside */
    public function known(): Installation
    {
        return InstallationReader::stored($this->installation)->in($this->site->atmosphere());
    }

    /** One of its circuits as it is known now, or one more. */
    public function describe(PartId $part, Circuit $known): void
    {
        // A plant of which nothing is said yet becomes what its first circuit is.
        $is = $this->exists ? $this->known()->with($part, $known) : Installation::of($known, $part);
        $this->keep($is);
    }

    /** Its air is that of its site. */
    public function keep(Installation $plant): void
    {
        $this->fill([
            'refrigerant' => $plant->highSide->refrigerant,
            'installation' => InstallationWriter::stored($plant, withAir: false),
        ])->save();
    }

    /** @return BelongsTo<Site, $this> */
    public function site(): BelongsTo
    {
        return $this->belongsTo(Site::class);
    }

    /** @return HasMany<Kept, $this> */
    public function circuits(): HasMany
    {
        return $this->hasMany(Kept::class)->orderBy('name');
    }
}
