<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Metrum\Findings\Trend;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Reading;

/**
 * One column of a controller's export, kept with the visit at which it was read in.
 *
 * @property string $id
 * @property string $occasion_id
 * @property string $part
 * @property string $reading
 * @property Carbon $begins_at
 * @property Carbon $ends_at
 * @property non-empty-list<array{float, float}> $samples  s since 1970 and SI
 */
final class TrendRecord extends Model
{
    use HasUlids;

    protected $table = 'trends';

    protected $fillable = ['occasion_id', 'part', 'reading', 'begins_at', 'ends_at', 'samples'];

    protected function casts(): array
    {
        return ['begins_at' => 'datetime', 'ends_at' => 'datetime', 'samples' => 'array'];
    }

    /** @return Builder<self> of a visit, in the order in which they were read in */
    public static function ofVisit(Visit $visit): Builder
    {
        return self::query()->where('occasion_id', $visit->id)->orderBy('id');
    }

    /** Keeps a trend; what the same visit had of the same reading and part goes. */
    public static function keep(Visit $visit, Trend $trend): self
    {
        self::ofVisit($visit)->where('reading', $trend->reading->value)->where('part', $trend->part->value)->delete();

        return self::query()->create([
            'occasion_id' => $visit->id,
            'part' => $trend->part->value,
            'reading' => $trend->reading->value,
            'begins_at' => Carbon::createFromTimestamp((int) $trend->begins()),
            'ends_at' => Carbon::createFromTimestamp((int) $trend->ends()),
            'samples' => $trend->points,
        ]);
    }

    public function trend(): Trend
    {
        return Trend::of(Reading::from($this->reading), PartId::of($this->part), $this->samples);
    }
}
