<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;

/**
 * A day on which a ledger that was taken in tells of refrigerant moved at a circuit. It is no visit.
 *
 * @property string $id
 * @property string $circuit_id
 * @property string $user_id
 */
final class LedgerDay extends Model
{
    use HasUlids;

    protected $table = 'occasions';

    protected $fillable = ['id', 'kind', 'circuit_id', 'user_id', 'opened_at', 'closed_at', 'house_rules'];

    protected static function booted(): void
    {
        self::addGlobalScope(
            'kind',
            static fn (Builder $query): Builder => $query->where('kind', OccasionKind::Ledger->value),
        );
    }

    protected function casts(): array
    {
        return ['opened_at' => 'datetime', 'closed_at' => 'datetime', 'house_rules' => 'array'];
    }

    /** The one of an id, which the same circuit and day always have. */
    public static function of(string $id, Circuit $circuit, User $user, string $day): self
    {
        return self::query()->find($id) ?? self::query()->create([
            'id' => $id,
            'kind' => OccasionKind::Ledger->value,
            'circuit_id' => $circuit->id,
            'user_id' => $user->id,
            'opened_at' => $day.' 00:00:00',
            'closed_at' => $day.' 23:59:00',
            'house_rules' => [],
        ]);
    }
}
