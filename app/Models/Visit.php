<?php

namespace App\Models;

use App\Records\Log;
use App\Records\Twins;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Metrum\Circuit\HouseRules;
use Metrum\Diagnosis\Diagnosis;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Findings;
use Metrum\Plant\TwinExpectation;

/**
 * @property string $id
 * @property string $circuit_id
 * @property string $user_id
 * @property Carbon $opened_at
 * @property ?Carbon $closed_at
 * @property ?Carbon $ran_well_at
 * @property array<string, string|array{float, float}> $house_rules
 * @property Circuit $circuit
 * @property User $user
 */
final class Visit extends Model
{
    use HasUlids;

    protected $fillable = [
        'id',
        'circuit_id',
        'user_id',
        'opened_at',
        'closed_at',
        'ran_well_at',
        'house_rules',
    ];

    protected function casts(): array
    {
        return [
            'opened_at' => 'datetime',
            'closed_at' => 'datetime',
            'ran_well_at' => 'datetime',
            'house_rules' => 'array',
        ];
    }

    /** @return BelongsTo<Circuit, $this> */
    public function circuit(): BelongsTo
    {
        return $this->belongsTo(Circuit::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<Entry, $this> */
    public function entries(): HasMany
    {
        return $this->hasMany(Entry::class)->orderBy('seq');
    }

    /** @return HasMany<FollowUp, $this> */
    public function followUps(): HasMany
    {
        return $this->hasMany(FollowUp::class)->orderBy('due_on');
    }

    /** @return Builder<self> */
    public static function stillOpen(): Builder
    {
        return self::query()->whereNull('closed_at');
    }

    public function isOpen(): bool
    {
        return $this->closed_at === null;
    }

    public function log(): Log
    {
        return new Log(array_values($this->entries()->get()->all()));
    }

    public function rules(): HouseRules
    {
        return new HouseRules($this->house_rules);
    }

    public function findings(?Log $log = null): Findings
    {
        return ($log ?? $this->log())->findings(
            $this->circuit->plant(),
            $this->id,
            $this->opened_at->toIso8601String(),
        );
    }

    /** What this circuit should read: its twin, drawn to the visits at which it ran well. */
    public function expectation(Findings $findings): TwinExpectation
    {
        return new TwinExpectation(
            $findings,
            $this->rules(),
            app(Twins::class)->of($findings->circuit, $this->rules(), $this->circuit->goodFindings($this)),
        );
    }

    public function verdict(
        ?Findings $findings = null,
        int $checks = 4,
        ?TwinExpectation $expectation = null,
    ): Verdict {
        $findings ??= $this->findings();

        return (new Diagnosis($this->rules()))->of(
            $findings,
            $checks,
            expectation: $expectation ?? $this->expectation($findings),
        );
    }

    /** Whether someone marked it: here the plant ran as it should. */
    public function ranWell(): bool
    {
        return $this->ran_well_at !== null;
    }
}
