<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * What was decided of a choice, by whom and when; only ever added.
 *
 * @property int $id
 * @property string $choice_id
 * @property DecisionWord $word
 * @property string $who  as they named themselves
 * @property ?string $user_id  who of the workshop noted it; null: the owner did, by the link
 * @property Carbon $decided_at
 */
final class OwnerDecision extends Model
{
    public $timestamps = false;

    protected $fillable = ['choice_id', 'word', 'who', 'user_id', 'decided_at'];

    protected function casts(): array
    {
        return ['word' => DecisionWord::class, 'decided_at' => 'datetime'];
    }

    /** "Refused by Mr. Ek by link, 12 Aug 18:04" */
    public function words(): string
    {
        $how = $this->user_id === null ? 'by link' : 'noted by the workshop';

        return "{$this->word->label()} by {$this->who} $how, {$this->decided_at->format('j M Y H:i')}";
    }
}
