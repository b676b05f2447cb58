<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A file of many visits on its way in: how far it is checked and taken.
 *
 * @property string $id
 * @property string $user_id
 * @property string $name
 * @property int $visits
 * @property int $checked
 * @property int $taken
 * @property list<string>|null $refused
 * @property User $user
 * @property ?Circuit $circuit
 */
final class Import extends Model
{
    use HasUlids;

    protected $fillable = ['id', 'user_id', 'circuit_id', 'name', 'visits', 'checked', 'taken', 'refused'];

    protected function casts(): array
    {
        return ['refused' => 'array', 'visits' => 'int', 'checked' => 'int', 'taken' => 'int'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Circuit, $this> */
    public function circuit(): BelongsTo
    {
        return $this->belongsTo(Circuit::class);
    }

    public function isRefused(): bool
    {
        return $this->checked >= $this->visits && ($this->refused ?? []) !== [];
    }

    public function isDone(): bool
    {
        return $this->isRefused() || $this->taken >= $this->visits;
    }

    /** Of checking and taking together, 0 … 1. */
    public function progress(): float
    {
        return ($this->checked + $this->taken) / max(1, 2 * $this->visits);
    }
}
