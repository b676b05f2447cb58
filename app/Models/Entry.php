<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One line of a visit's log. Kinds: reading, observation, test, state, complaint, confirmed, ruled_out, note, undo.
 *
 * @property int $seq
 * @property string $id
 * @property string $visit_id
 * @property string $user_id
 * @property string $kind
 * @property string $key
 * @property ?float $value SI; gauge Pa for pressures
 * @property ?string $word
 * @property ?string $typed what the person typed
 * @property ?string $unit
 * @property string $source hand, import or simulator
 * @property ?string $supersedes
 * @property Carbon $taken_at
 */
final class Entry extends Model
{
    use HasUlids;

    public const UPDATED_AT = null;

    protected $primaryKey = 'seq';

    protected $fillable = [
        'id',
        'visit_id',
        'user_id',
        'kind',
        'key',
        'value',
        'word',
        'typed',
        'unit',
        'source',
        'supersedes',
        'taken_at',
    ];

    /** @return list<string> */
    public function uniqueIds(): array
    {
        return ['id'];
    }

    public function getIncrementing(): bool
    {
        return true;
    }

    public function getKeyType(): string
    {
        return 'int';
    }

    protected function casts(): array
    {
        return ['value' => 'float', 'taken_at' => 'datetime'];
    }

    /** @return BelongsTo<Visit, $this> */
    public function visit(): BelongsTo
    {
        return $this->belongsTo(Visit::class);
    }

    /** Says nothing any more: a reading or answer that was taken back. */
    public function isCleared(): bool
    {
        return $this->value === null && $this->word === null && $this->kind !== 'note';
    }
}
