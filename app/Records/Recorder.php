<?php

namespace App\Records;

use App\Models\Entry;
use App\Models\User;
use App\Models\Visit;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Metrum\Circuit\Complaint;
use Metrum\Circuit\Fault;
use Metrum\Circuit\Observation;
use Metrum\Circuit\Reading;
use Metrum\Circuit\State;
use Metrum\Circuit\Test;
use Metrum\Circuit\Word;
use Metrum\Exchange\Plausible;
use Metrum\Exchange\QuickEntry;
use Metrum\Exchange\QuickLine;
use Metrum\Findings\Findings;
use Metrum\Quantity\NotAQuantity;
use Metrum\Quantity\Reader;

/** Turns what a person typed or tapped into an entry of the visit's log. Empty means: not measured, not seen. */
final readonly class Recorder
{
    public const KINDS = [
        'reading',
        'observation',
        'test',
        'state',
        'complaint',
        'confirmed',
        'ruled_out',
        'note',
    ];

    public function __construct(private Visit $visit, private User $user, private string $source = 'hand')
    {
    }

    /**
     * Appends the entry, once: the same id sent again (a second click, a resend) is the same entry.
     *
     * @param  ?string  $id  ULID made where it was typed; one is made where none is given or another entry has it
     *
     * @throws NotRecordable
     */
    public function record(
        string $kind,
        string $key,
        ?string $typed,
        ?string $id = null,
        ?string $reason = null,
    ): Entry {
        $attributes = $this->attributes($kind, $key, trim((string) $typed)) + ['kind' => $kind, 'key' => $key];
        if ($reason !== null && $reason !== '') {
            $attributes['typed'] = $reason;
        }
        $same = $id === null ? null : Entry::query()->where('id', $id)->first();
        if ($same !== null && $this->isSame($same, $attributes)) {
            return $same;
        }

        try {
            return $this->append($attributes, $same === null ? $id : null);
        } catch (UniqueConstraintViolationException) {
            // The same entry arrived twice at once; the other one is kept.
            return Entry::query()->where('id', $id)->firstOrFail();
        }
    }

    /**
     * Appends all that a quick line says, or nothing where any of it cannot be.
     *
     * @param  string  $id  ULID of the line; its entries carry ULIDs counted on from it, so that a resend doubles none
     * @return list<Entry>
     *
     * @throws NotRecordable
     */
    public function line(string $typed, string $id): array
    {
        if (mb_strlen($typed) > 2000) {
            throw new NotRecordable('The line has '.mb_strlen($typed).' characters; 2000 are possible.');
        }
        $said = (new QuickLine())->read($typed);
        if ($said === []) {
            throw new NotRecordable('The line is empty.');
        }
        foreach ($said as $one) {
            $this->attributes($one->kind, $one->key, $one->value);
        }
        $entries = [];
        foreach ($said as $i => $one) {
            $entries[] = $this->record($one->kind, $one->key, $one->value, self::counted($id, $i));
        }

        return $entries;
    }

    /** What a piece of a quick line would be kept as, not yet saved. @throws NotRecordable */
    public function meant(QuickEntry $said): Entry
    {
        return new Entry(
            $this->attributes($said->kind, $said->key, $said->value) + [
                'kind' => $said->kind,
                'key' => $said->key,
                'source' => $this->source,
            ],
        );
    }

    /** The ULID $i places after $id; the same for the same two, whenever it is asked. */
    private static function counted(string $id, int $i): string
    {
        $digits = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';
        $tail = 0;
        foreach (str_split(strtoupper(substr($id, -4))) as $digit) {
            $tail = 32 * $tail + (int) strpos($digits, $digit);
        }
        $tail = ($tail + $i) % 32 ** 4;
        $end = '';
        for ($place = 0; $place < 4; $place++) {
            $end = $digits[$tail % 32].$end;
            $tail = intdiv($tail, 32);
        }

        return substr($id, 0, -4).$end;
    }

    /** Takes an entry of this visit back; doing so twice is doing so once. */
    public function undo(Entry $entry, ?string $id = null): void
    {
        $done = Entry::query()
            ->where('visit_id', $this->visit->id)
            ->where('kind', 'undo')
            ->where('supersedes', $entry->id)
            ->exists();
        if (! $done && $entry->kind !== 'undo') {
            $this->append(
                ['kind' => 'undo', 'key' => $entry->key, 'supersedes' => $entry->id],
                $id !== null && Entry::query()->where('id', $id)->exists() ? null : $id,
            );
        }
    }

    /** Records all that a visit file holds. */
    public function import(Findings $findings, Carbon $takenAt): void
    {
        $lines = [];
        foreach ($findings->complaints as $complaint) {
            $lines[] = ['kind' => 'complaint', 'key' => $complaint->value, 'word' => 'yes'];
        }
        if ($findings->state !== null) {
            $lines[] = ['kind' => 'state', 'key' => 'state', 'word' => $findings->state->value];
        }
        foreach ($findings->observations as $key => $word) {
            $lines[] = ['kind' => 'observation', 'key' => $key, 'word' => $word->value];
        }
        foreach ($findings->readings as $key => $si) {
            $lines[] = [
                'kind' => 'reading',
                'key' => $key,
                'value' => $si,
                'unit' => Reading::from($key)->fileUnit()->value,
            ];
        }
        foreach ($findings->tests as $key => $word) {
            $lines[] = ['kind' => 'test', 'key' => $key, 'word' => $word->value];
        }
        foreach ($findings->confirmed as $fault) {
            $lines[] = ['kind' => 'confirmed', 'key' => $fault->value, 'word' => 'yes'];
        }
        foreach ($lines as $line) {
            $this->append($line + ['taken_at' => $takenAt]);
        }
    }

    /**
     * @return array<string, mixed>
     *
     * @throws NotRecordable
     */
    private function attributes(string $kind, string $key, string $typed): array
    {
        return match ($kind) {
            'reading' => $this->reading($key, $typed),
            'observation' => $this->answer(Observation::tryFrom($key), $key, $typed),
            'test' => $this->answer(Test::tryFrom($key), $key, $typed),
            'state' => [
                'word' => $typed === ''
                        ? null
                        : $this->known(State::tryFrom($typed), $typed, array_column(State::cases(), 'value')),
            ],
            'complaint' => $this->mark(Complaint::tryFrom($key), $key, $typed),
            'confirmed', 'ruled_out' => $this->mark(Fault::tryFrom($key), $key, $typed),
            'note' => $typed === '' && $key !== 'summary'
                ? throw new NotRecordable('The note is empty.')
                : ['typed' => mb_substr($typed, 0, 4000)],
            default => throw new NotRecordable(
                '"'.
                    Str::limit($kind, 30).
                    '" is no kind of entry. Possible: '.
                    implode(', ', self::KINDS).
                    '.',
            ),
        };
    }

    /** @return array<string, mixed> */
    private function reading(string $key, string $typed): array
    {
        $reading =
            Reading::tryFrom($key) ??
            throw new NotRecordable('"'.Str::limit($key, 40).'" is no reading that Metrum knows.');
        if ($typed === '') {
            return ['value' => null, 'typed' => ''];
        }
        $usual = $this->user->units()->of($reading->quantity());
        try {
            $amount = Reader::read($typed, $reading->quantity(), $usual);
        } catch (NotAQuantity $error) {
            throw new NotRecordable($reading->short().': '.$error->getMessage());
        }
        $refusal = Plausible::refusal(
            $reading,
            $amount->si,
            $this->visit->circuit->site->atmosphere(),
            $amount->unit,
        );
        if ($refusal !== null) {
            throw new NotRecordable(
                $reading->short().': "'.Str::limit($typed, 40).'" was given; '.$refusal.'.',
            );
        }

        return ['value' => $amount->si, 'typed' => $typed, 'unit' => $amount->unit->value];
    }

    /** @return array<string, mixed> */
    private function answer(Observation|Test|null $asked, string $key, string $typed): array
    {
        if ($asked === null) {
            throw new NotRecordable('"'.Str::limit($key, 40).'" is nothing that Metrum asks.');
        }
        if ($typed === '') {
            return ['word' => null];
        }
        $word = Word::tryFrom($typed);
        $possible = $asked->words();

        return [
            'word' => $this->known(
                $word !== null && in_array($word, $possible, true) ? $word : null,
                $typed,
                array_column($possible, 'value'),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private function mark(Complaint|Fault|null $marked, string $key, string $typed): array
    {
        if ($marked === null) {
            throw new NotRecordable('"'.Str::limit($key, 40).'" is no word that Metrum knows.');
        }

        return ['word' => in_array($typed, ['', 'no'], true) ? null : 'yes'];
    }

    /** @param  list<string>  $possible */
    private function known(?\BackedEnum $word, string $typed, array $possible): string
    {
        return $word === null
            ? throw new NotRecordable(
                '"'.Str::limit($typed, 40).'" was given; possible is '.implode(', ', $possible).'.',
            )
            : (string) $word->value;
    }

    /** @param  array<string, mixed>  $attributes */
    private function isSame(Entry $entry, array $attributes): bool
    {
        return $entry->visit_id === $this->visit->id &&
            $entry->kind === $attributes['kind'] &&
            $entry->key === $attributes['key'] &&
            $entry->word === ($attributes['word'] ?? null) &&
            $entry->typed === ($attributes['typed'] ?? null);
    }

    /** @param  array<string, mixed>  $attributes */
    private function append(array $attributes, ?string $id = null): Entry
    {
        $now = Carbon::now();

        return Entry::query()->create(
            $attributes + [
                'id' => $id ?? (string) Str::ulid(),
                'visit_id' => $this->visit->id,
                'user_id' => $this->user->id,
                'source' => $this->source,
                'taken_at' => $now,
            ],
        );
    }
}
