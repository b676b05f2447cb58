<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What happened to a cylinder away from any plant. Nothing is let out: it is bought, counted, poured over or handed in.
 *
 * @property string $id
 * @property string $cylinder_id
 * @property string $user_id
 * @property float $kilograms into the cylinder; below 0: out of it
 * @property string $why
 * @property string $note
 * @property Carbon $moved_at
 * @property ?Carbon $taken_back_at
 * @property Cylinder $cylinder
 * @property User $user
 */
final class StockMove extends Model
{
    use HasUlids;

    /** What can happen, and how it is said. */
    public const WHY = [
        'bought' => 'received full',
        'counted' => 're-weighed',
        'poured' => 'transferred',
        'returned' => 'returned',
    ];

    protected $fillable = ['id', 'cylinder_id', 'user_id', 'kilograms', 'why', 'note', 'moved_at', 'taken_back_at'];

    protected function casts(): array
    {
        return ['kilograms' => 'float', 'moved_at' => 'datetime', 'taken_back_at' => 'datetime'];
    }

    /** @return BelongsTo<Cylinder, $this> */
    public function cylinder(): BelongsTo
    {
        return $this->belongsTo(Cylinder::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
