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
use Metrum\Exchange\VisitFile;
use Metrum\Findings\Chapter;
use Metrum\Findings\Chapters;
use Metrum\Findings\Findings;
use Metrum\Installation\Circuit as Known;
use Metrum\Installation\InstallationReader;
use Metrum\Installation\InstallationWriter;
use Metrum\Knowledge\HouseRules;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\CircuitChanged;
use Metrum\Log\Log;
use Metrum\Log\Window;

/**
 * @property string $id
 * @property string $circuit_id
 * @property string $user_id
 * @property Carbon $opened_at
 * @property ?Carbon $closed_at
 * @property ?Carbon $ran_well_at
 * @property ?string $told  hash of what the file told that it came from
 * @property array<string, string|array{float, float}> $house_rules in force when it was opened
 * @property string $installation  the plant as it was then
 * @property Circuit $circuit
 * @property User $user
 * @property ?VerdictSnapshot $verdict
 * @property \Illuminate\Database\Eloquent\Collection<int, FollowUp> $followUps
 * @property \Illuminate\Database\Eloquent\Collection<int, Attachment> $attachments
 */
final class Visit extends Model
{
    use HasUlids;
    use WalksCircuits;

    /** @var array<int, Fact> what was read of its log, by its place in the record */
    private array $read = [];

    private ?Log $log = null;

    /** @var array{string, Known}|null of which circuit and document, and what it was */
    private ?array $opened = null;

    /** @var array{Log, Window}|null what is folded of its log */
    private ?array $folded = null;

    protected $table = 'occasions';

    protected $attributes = ['kind' => OccasionKind::Visit->value];

    protected $fillable = [
        'id',
        'circuit_id',
        'user_id',
        'opened_at',
        'closed_at',
        'ran_well_at',
        'told',
        'house_rules',
        'installation',
    ];

    protected static function booted(): void
    {
        self::addGlobalScope(
            'kind',
            static fn (Builder $query): Builder => $query->where('occasions.kind', OccasionKind::Visit->value),
        );
    }

    protected function casts(): array
    {
        return [
            'opened_at' => 'datetime',
            'closed_at' => 'datetime',
            'ran_well_at' => 'datetime',
            'house_rules' => 'array',
        ];
    }

    /**
     * Opens a visit on a circuit as it is known now, under the rules in force.
     *
     * @param  ?string  $id  ULID; null: a new one
     */
    public static function open(Circuit $circuit, User $user, \DateTimeInterface $at, ?string $id = null): self
    {
        $visit = self::query()->create(
            ($id === null ? [] : ['id' => $id]) + [
                'circuit_id' => $circuit->id,
                'user_id' => $user->id,
                'opened_at' => $at,
                'house_rules' => HouseRuleChoice::inForce()->choices,
                'installation' => InstallationWriter::stored(
                    $circuit->plant->setRelation('site', $circuit->site)->known(),
                ),
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

    /** @return HasMany<Attachment, $this> photos and voice notes that can be seen */
    public function attachments(): HasMany
    {
        return $this->hasMany(Attachment::class)
            ->whereNotNull('ready_at')
            ->whereNull('removed_at')
            ->orderBy('taken_at')
            ->orderBy('id');
    }

    /** @return HasOne<VerdictSnapshot, $this> */
    public function verdict(): HasOne
    {
        return $this->hasOne(VerdictSnapshot::class);
    }

    /** @return Builder<self> with days of a ledger: all occasions of a circuit */
    public static function ofAnyKind(): Builder
    {
        return self::query()->withoutGlobalScope('kind');
    }

    /** @return Builder<self> */
    public static function stillOpen(): Builder
    {
        return self::query()->whereNull('closed_at');
    }

    /** @return Builder<self> of a circuit, at which something was moved, latest first */
    public static function withMoves(string $circuit): Builder
    {
        return self::query()
            ->where('circuit_id', $circuit)
            // Asked of each visit of the circuit: its facts are found by the visit.
            ->whereExists(
                FactRecord::query()->whereColumn('occasion_id', 'occasions.id')->where('kind', FactKind::Move->value),
            )
            ->latest('opened_at');
    }

    /** @return Builder<self> to the plant of a circuit: one to a rack is one to each of its circuits */
    public static function ofPlant(Circuit $circuit): Builder
    {
        return self::query()->whereIn(
            'occasions.circuit_id',
            Circuit::query()->where('plant_id', $circuit->plant_id)->select('id'),
        );
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
        $of = $this->circuit->part.' '.$this->installation;
        if ($this->opened === null || $this->opened[0] !== $of) {
            $plant = InstallationReader::stored($this->installation);
            $this->opened = [$of, $plant->circuit($this->circuit->partId())];
        }

        return $this->opened[1];
    }

    /** The circuit as it is known now: as it was told last, else as when the visit was opened. */
    public function circuitNow(): Known
    {
        return CircuitChanged::last($this->log()) ?? $this->circuitAsOpened();
    }

    /** What of its log is known of its circuit, to be folded. */
    public function window(): Window
    {
        $log = $this->log();
        $part = $this->circuit->partId();
        if ($this->folded === null || $this->folded[0] !== $log || ! $this->folded[1]->circuit->is($part)) {
            $window = new Window(
                $log,
                $this->circuitAsOpened(),
                $part,
                $this->id,
                $this->opened_at->toIso8601String(),
                $this->wholeRack(),
            );
            $this->folded = [$log, $window];
        }

        return $this->folded[1];
    }

    public function chapters(): Chapters
    {
        return Chapters::of($this->window());
    }

    /** The whole of it, as a file tells it. */
    public function told(): VisitFile
    {
        return new VisitFile(
            $this->findings(),
            $this->window(),
            $this->plantAsOpened(),
            $this->circuit->partId(),
            $this->wholeRack()->names ?? [],
            Attachment::links($this->loadMissing('attachments')->attachments),
        );
    }

    public function findings(): Findings
    {
        return $this->chapters()->present()->findings;
    }

    /** What was read last: until it was read again after a move, what was read before. */
    public function lastRead(): Findings
    {
        $read = array_filter($this->chapters()->all, static fn (Chapter $one): bool => $one->wasLookedAt());
        $last = end($read);

        return $last === false ? $this->findings() : $last->findings;
    }

    /** Whether someone marked it: here the plant ran as it should. */
    public function ranWell(): bool
    {
        return $this->ran_well_at !== null;
    }
}
