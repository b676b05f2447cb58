<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * @property string $id
 * @property Carbon $due_on
 * @property string $what
 * @property ?Carbon $done_at
 * @property Circuit $circuit
 */
final class FollowUp extends Model
{
    use HasUlids;

    protected $fillable = ['id', 'visit_id', 'circuit_id', 'user_id', 'due_on', 'what', 'done_at'];

    protected function casts(): array
    {
        return ['due_on' => 'date', 'done_at' => 'datetime'];
    }

    /** @return BelongsTo<Circuit, $this> */
    public function circuit(): BelongsTo
    {
        return $this->belongsTo(Circuit::class);
    }

    /** @return BelongsTo<Visit, $this> */
    public function visit(): BelongsTo
    {
        return $this->belongsTo(Visit::class);
    }

    public function isDue(): bool
    {
        return $this->done_at === null && $this->due_on->isBefore(now()->addDays(2));
    }
}
