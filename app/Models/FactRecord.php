<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Metrum\Installation\PartId;
use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Source;

/**
 * One row of a visit's log; only ever added.
 *
 * @property int $seq
 * @property string $id
 * @property string $occasion_id
 * @property string $plant_id
 * @property string $user_id
 * @property string $kind
 * @property string $part
 * @property string $key
 * @property ?float $value SI; gauge Pa for pressures
 * @property ?string $word
 * @property array<string, mixed> $data
 * @property string $source hand, probe, import or simulator
 * @property Carbon $taken_at
 * @property ?string $device on which it was made
 * @property ?int $made as the how-manieth of that device
 * @property ?Visit $visit null where it was at none
 */
final class FactRecord extends Model
{
    public const UPDATED_AT = null;

    /** Columns that a fact is read from. */
    private const READ = [
        'id',
        'plant_id',
        'user_id',
        'kind',
        'part',
        'key',
        'value',
        'word',
        'data',
        'source',
        'taken_at',
    ];

    protected $table = 'facts';

    protected $primaryKey = 'seq';

    protected $fillable = ['occasion_id', 'device', 'made', ...self::READ];

    protected function casts(): array
    {
        return ['value' => 'float', 'data' => 'array', 'taken_at' => 'datetime'];
    }

    /** @return array<string, mixed> the columns of a fact */
    public static function columns(Fact $fact): array
    {
        return [
            'id' => $fact->id,
            'plant_id' => $fact->plant,
            'user_id' => $fact->by,
            'kind' => $fact->kind->value,
            'part' => $fact->part->value,
            'key' => $fact->content->key,
            'value' => $fact->content->value,
            'word' => $fact->content->word,
            'data' => $fact->content->data,
            'source' => $fact->source->value,
            'taken_at' => $fact->takenAt,
        ];
    }

    /**
     * The facts of a visit that came after a place in the record, in the order in which they came.
     *
     * @return array<int, Fact> by their place
     */
    public static function ofVisit(string $visit, int $after = 0): array
    {
        // Long logs are read on every page: rows become facts at once, without a model between.
        $rows = self::query()->toBase()->where('occasion_id', $visit)->where('seq', '>', $after)->orderBy('seq');
        $facts = [];
        foreach ($rows->get(['seq', ...self::READ]) as $row) {
            $facts[(int) $row->seq] = self::assembled($row);
        }

        return $facts;
    }

    /** @return BelongsTo<Visit, $this> */
    public function visit(): BelongsTo
    {
        return $this->belongsTo(Visit::class, 'occasion_id');
    }

    public function fact(): Fact
    {
        return self::assembled((object) $this->getAttributes());
    }

    private static function assembled(\stdClass $row): Fact
    {
        $data = is_string($row->data) ? json_decode($row->data, true) : null;
        $content = new Content(
            $row->key,
            $row->value === null ? null : (float) $row->value,
            $row->word,
            is_array($data) ? $data : [],
        );

        return new Fact(
            $row->id,
            FactKind::from($row->kind),
            $content,
            new \DateTimeImmutable($row->taken_at),
            Source::from($row->source),
            $row->user_id,
            $row->plant_id,
            PartId::of($row->part),
        );
    }
}
