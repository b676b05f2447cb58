<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/**
 * @property string $id
 * @property string $visit_id
 * @property string $circuit_id
 * @property string $user_id
 * @property Carbon $due_on
 * @property string $what
 * @property string $why
 * @property string $condition  when else than on its day: "after two defrosts"
 * @property string $prepare  what the customer does before
 * @property string $bring  tools and parts
 * @property ?Carbon $done_at
 * @property Circuit $circuit
 */
final class FollowUp extends Model
{
    use HasUlids;

    protected $fillable = ['id', 'visit_id', 'circuit_id', 'user_id', 'due_on', 'what', 'done_at', ...self::SAID];

    /** What can be said of one besides what and when. */
    public const SAID = ['why', 'condition', 'prepare', 'bring'];

    /** Letters of what is to be done, and of each that is said of it. */
    public const LONGEST = 240;

    /**
     * Notes what is to be done, once: the same id sent again with the same words is the same follow-up.
     *
     * @param  ?string  $id  ULID made where it was typed; one is made where none is given or another one has it
     * @param  array<string, string>  $said  reason, condition, preparation and what to bring, by key
     */
    public static function note(
        Visit $visit,
        User $user,
        Carbon $due,
        string $what,
        ?string $id,
        array $said = [],
    ): self {
        $same = $id === null ? null : self::query()->find($id);
        if ($same?->visit_id === $visit->id && $same->what === $what && $same->due_on->isSameDay($due)) {
            return $same;
        }

        return self::query()->create([
            'id' => $same === null && $id !== null ? $id : (string) Str::ulid(),
            'visit_id' => $visit->id,
            'circuit_id' => $visit->circuit_id,
            'user_id' => $user->id,
            'due_on' => $due,
            'what' => $what,
        ] + array_intersect_key($said, array_flip(self::SAID)));
    }

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

    /** @return array<string, string> what is said of it besides, by how that is called */
    public function terms(): array
    {
        return array_filter([
            'Reason' => $this->why,
            'When' => $this->condition,
            'Customer prepares' => $this->prepare,
            'Bring' => $this->bring,
        ], static fn (?string $one): bool => (string) $one !== '');
    }

    public function isDue(): bool
    {
        return $this->done_at === null && $this->due_on->isBefore(now()->addDays(2));
    }

    public function isOverdue(): bool
    {
        return $this->done_at === null && $this->due_on->isBefore(today());
    }
}
