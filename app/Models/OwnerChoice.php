<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * One way to go on, as it is put to an owner after a visit.
 *
 * @property string $id
 * @property string $visit_id
 * @property string $user_id
 * @property int $place
 * @property string $title
 * @property string $does
 * @property string $lasts
 * @property string $prepare
 * @property string $risk  of what it leaves undone
 * @property ?string $lines  amounts, one a line: what; quantity; unit; price
 * @property Visit $visit
 * @property \Illuminate\Database\Eloquent\Collection<int, OwnerDecision> $decisions
 */
final class OwnerChoice extends Model
{
    use HasUlids;

    protected $fillable = [
        'visit_id',
        'user_id',
        'place',
        'title',
        'does',
        'lasts',
        'prepare',
        'risk',
        'lines',
    ];

    /** @return Builder<Visit> visits to the plant of a circuit at which something was offered, latest first */
    public static function visitsTo(Circuit $circuit): Builder
    {
        return Visit::ofPlant($circuit)
            ->whereIn('occasions.id', self::query()->select('visit_id'))
            ->latest('opened_at');
    }

    /** @return BelongsTo<Visit, $this> */
    public function visit(): BelongsTo
    {
        return $this->belongsTo(Visit::class);
    }

    /** @return HasMany<OwnerDecision, $this> latest last */
    public function decisions(): HasMany
    {
        return $this->hasMany(OwnerDecision::class, 'choice_id')->orderBy('id');
    }

    /** What was decided last; null: nothing yet. */
    public function decision(): ?OwnerDecision
    {
        return $this->decisions->last();
    }

    public function amounts(): PriceLines
    {
        return PriceLines::read((string) $this->lines);
    }

    /** Notes what was decided; said again the same it stands once. */
    public function decide(DecisionWord $word, string $who, ?User $user): void
    {
        $last = $this->decisions()->get()->last();
        if ($last?->word === $word && $last->who === $who) {
            return;
        }
        $this->decisions()->create([
            'word' => $word,
            'who' => $who,
            'user_id' => $user?->id,
            'decided_at' => Carbon::now(),
        ]);
        $this->unsetRelation('decisions');
    }
}
