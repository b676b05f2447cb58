<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * What circuits share: compressors, condenser, receiver, head control, refrigerant. A plain unit has one circuit.
 *
 * @property string $id
 * @property string $site_id
 * @property string $refrigerant
 * @property array<string, mixed> $system the other shared words of the visit file
 * @property array<string, float|int> $design
 * @property ?Carbon $created_at
 * @property Site $site
 */
final class Plant extends Model
{
    use HasUlids;

    protected $fillable = ['site_id', 'refrigerant', 'system', 'design'];

    protected function casts(): array
    {
        return ['system' => 'array', 'design' => 'array'];
    }

    /** @return BelongsTo<Site, $this> */
    public function site(): BelongsTo
    {
        return $this->belongsTo(Site::class);
    }

    /** @return HasMany<Circuit, $this> */
    public function circuits(): HasMany
    {
        return $this->hasMany(Circuit::class)->orderBy('name');
    }
}
