<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;
use Metrum\Data\Refused;
use Metrum\Findings\Chapters;
use Metrum\Findings\Findings;
use Metrum\Installation\Circuit as Known;
use Metrum\Installation\CircuitWriter;
use Metrum\Knowledge\HouseRules;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Log;

/**
 * @property string $id
 * @property string $circuit_id
 * @property string $user_id
 * @property Carbon $opened_at
 * @property ?Carbon $closed_at
 * @property ?Carbon $ran_well_at
 * @property ?string $told  hash of what the file told that it came from
 * @property array<string, string|array{float, float}> $house_rules in force when it was opened
 * @property array<string, mixed> $system the circuit as it was then, in the words of the visit file
 * @property array<string, float|int> $design
 * @property Circuit $circuit
 * @property User $user
 * @property ?VerdictSnapshot $verdict
 */
final class Visit extends Model
{
    use HasUlids;

    /** What a visit was told by that only stands for a day of a ledger that was taken in. */
    public const LEDGER = 'ledger';

    /** @var array<int, Fact> what was read of its log, by its place in the record */
    private array $read = [];

    private ?Log $log = null;

    protected $fillable = [
        'id',
        'circuit_id',
        'user_id',
        'opened_at',
        'closed_at',
        'ran_well_at',
        'told',
        'house_rules',
        'system',
        'design',
    ];

    protected function casts(): array
    {
        return [
            'opened_at' => 'datetime',
            'closed_at' => 'datetime',
            'ran_well_at' => 'datetime',
            'house_rules' => 'array',
            'system' => 'array',
            'design' => 'array',
        ];
    }

    /**
     * Opens a visit on a circuit as it is known now, under the rules in force.
     *
     * @param  ?string  $id  ULID; null: a new one
     */
    public static function open(Circuit $circuit, User $user, \DateTimeInterface $at, ?string $id = null): self
    {
        $known = $circuit->known();
        $visit = self::query()->create(
            ($id === null ? [] : ['id' => $id]) + [
                'circuit_id' => $circuit->id,
                'user_id' => $user->id,
                'opened_at' => $at,
                'house_rules' => HouseRuleChoice::inForce()->choices,
                'system' => CircuitWriter::system($known),
                'design' => CircuitWriter::design($known),
            ],
        );

        return $visit->setRelation('circuit', $circuit);
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

    /** @return HasMany<FollowUp, $this> */
    public function followUps(): HasMany
    {
        return $this->hasMany(FollowUp::class)->orderBy('due_on');
    }

    /** @return HasOne<VerdictSnapshot, $this> */
    public function verdict(): HasOne
    {
        return $this->hasOne(VerdictSnapshot::class);
    }

    /** @return Builder<self> */
    public static function stillOpen(): Builder
    {
        return self::query()->whereNull('closed_at');
    }

    /** @return Builder<self> at which somebody was there */
    public static function paid(): Builder
    {
        return self::query()->where(
            static fn (Builder $any): Builder => $any->whereNull('told')->orWhere('told', '!=', self::LEDGER),
        );
    }

    /** @return Builder<self> of a circuit, at which something was moved, latest first */
    public static function withMoves(string $circuit): Builder
    {
        return self::query()
            ->where('circuit_id', $circuit)
            // Asked of each visit of the circuit: its facts are found by the visit.
            ->whereExists(
                FactRecord::query()->whereColumn('visit_id', 'visits.id')->where('kind', FactKind::Move->value),
            )
            ->latest('opened_at');
    }

    /** @return Builder<self> of a circuit, marked as running well, latest first */
    public static function thatRanWell(string $circuit): Builder
    {
        return self::query()->where('circuit_id', $circuit)->whereNotNull('ran_well_at')->latest('opened_at');
    }

    public function isOpen(): bool
    {
        return $this->closed_at === null;
    }

    /** As it stands now: a page asks for it many times, and only what was added since is read. */
    public function log(): Log
    {
        $added = FactRecord::ofVisit($this->id, (int) array_key_last($this->read));
        $this->read += $added;

        return $added === [] && $this->log !== null
            ? $this->log
            : $this->log = new Log(array_values($this->read));
    }

    public function rules(): HouseRules
    {
        return new HouseRules($this->house_rules);
    }

    /** The circuit as it was known when the visit was opened. @throws Refused where it was harmed from outside */
    public function circuitAsOpened(): Known
    {
        return Known::fromWords($this->system, $this->design);
    }

    public function chapters(?Log $log = null): Chapters
    {
        return Chapters::of(
            $log ?? $this->log(),
            $this->circuitAsOpened(),
            $this->id,
            $this->opened_at->toIso8601String(),
        );
    }

    public function findings(): Findings
    {
        return $this->chapters()->present()->findings;
    }

    /** Whether someone marked it: here the plant ran as it should. */
    public function ranWell(): bool
    {
        return $this->ran_well_at !== null;
    }
}
