<?php

namespace App\Records;

use App\Models\FactRecord;
use App\Models\Visit;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Metrum\Exchange\QuickLine;
use Metrum\Findings\Findings;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Reading;
use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Ground;
use Metrum\Log\Kinds\TakenBack;
use Metrum\Log\NotAFact;
use Metrum\Log\Source;
use Metrum\Log\Statement;
use Metrum\Log\Window;
use Metrum\Quantity\Units;

/** Puts what somebody says at a moment into the log of a visit. */
final readonly class Recorder
{
    private const LONGEST_LINE = 2000;

    private Ground $ground;

    public function __construct(
        private Visit $visit,
        private Author $author,
        private Making $made,
        private Source $source = Source::Hand,
    ) {
        $circuit = $visit->circuitNow();
        $this->ground = new Ground(
            $author->units,
            $circuit->atmosphere,
            $circuit,
            $visit->circuit->partId(),
            $visit->isOfRack() ? $visit->plantAsOpened() : null,
        );
    }

    public function units(): Units
    {
        return $this->author->units;
    }

    public function moment(): \DateTimeImmutable
    {
        return $this->made->at;
    }

    /** The same author and visit at another moment. */
    public function at(\DateTimeImmutable $at): self
    {
        return new self($this->visit, $this->author, new Making($at), $this->source);
    }

    /**
     * Appends what was said, once: the same id sent again (a second click, a resend) is the same fact.
     *
     * @param  ?string  $id  ULID made where it was typed; one is made where none is given or another fact has it
     *
     * @throws NotAFact
     */
    public function record(Statement $said, ?string $id = null): Fact
    {
        return $this->append($said->kind, $this->meant($said), $id, $this->partOf($said));
    }

    /** Of which part something is said. @throws NotAFact where it names none */
    public function partOf(Statement $said): PartId
    {
        return $this->ground->partOf($said);
    }

    /** What something said would be kept as, not yet saved. @throws NotAFact */
    public function meant(Statement $said): Content
    {
        return $said->kind->rule()->content($said, $this->ground);
    }

    /**
     * Appends all that a quick line says, or nothing where any of it cannot be.
     *
     * @param  string  $id  ULID of the line; its facts carry ULIDs counted on from it, so that a resend doubles none
     * @param  callable(Statement, string): list<Fact>  $move  records a move
     * @param  ?callable(Statement): Statement  $of  says of which part each is, where it is not the circuit walked
     * @return list<Fact>
     *
     * @throws NotAFact
     */
    public function line(string $typed, string $id, callable $move, ?callable $of = null): array
    {
        if (mb_strlen($typed) > self::LONGEST_LINE) {
            throw NotAFact::because(
                'The entry has '.mb_strlen($typed).' characters; the limit is '.self::LONGEST_LINE.'.',
            );
        }
        $said = (new QuickLine())->read($typed);
        if ($said === []) {
            throw NotAFact::because('Type something first.');
        }
        $said = $of === null ? $said : array_map($of, $said);
        $contents = array_map($this->meant(...), $said);
        $parts = array_map($this->partOf(...), $said);
        $facts = [];
        DB::transaction(function () use (&$facts, $said, $contents, $parts, $id, $move): void {
            foreach ($said as $i => $one) {
                // A move carries a clock besides: it takes two places.
                $place = self::counted($id, 2 * $i);
                $kept = $one->kind === FactKind::Move
                    ? $move($one, $place)
                    : [$this->append($one->kind, $contents[$i], $place, $parts[$i])];
                array_push($facts, ...$kept);
            }
        });

        return $facts;
    }

    /** Takes a fact of this visit back; doing so twice is doing so once. @throws NotAFact where it cannot be */
    public function undo(Fact $fact, ?string $id = null): void
    {
        if (! $fact->rule()->canBeTakenBack()) {
            throw NotAFact::because('This entry cannot be undone.');
        }
        foreach ($this->visit->log()->facts as $one) {
            if ($one->kind === FactKind::Undo && $one->content->text('of') === $fact->id) {
                return;
            }
        }
        $this->append(FactKind::Undo, TakenBack::of($fact), $id, $fact->part);
    }

    /** Records all that a visit file holds. */
    public function import(Findings $findings): void
    {
        foreach ($findings->complaints as $complaint) {
            $this->append(FactKind::Complaint, new Content($complaint->value, null, 'yes'));
        }
        if ($findings->state !== null) {
            $this->append(FactKind::State, new Content('state', null, $findings->state->value));
        }
        foreach ($findings->observations as $key => $word) {
            $this->append(FactKind::Observation, new Content($key, null, $word->value));
        }
        foreach ($findings->readings as $key => $si) {
            $unit = Reading::from($key)->fileUnit()->value;
            $this->append(FactKind::Reading, new Content($key, $si, null, ['unit' => $unit]));
        }
        foreach ($findings->tests as $key => $word) {
            $this->append(FactKind::Test, new Content($key, null, $word->value));
        }
        foreach ($findings->confirmed as $fault) {
            $this->append(FactKind::Confirmed, new Content($fault->value, null, 'yes'));
        }
    }

    /** Records a log as it was told, each fact at its moment and under its own id where that is free. */
    public function replay(Window $told): void
    {
        $ids = [];
        $own = $this->visit->circuit->partId();
        foreach ($told->everything()->facts as $fact) {
            $of = $fact->content->text('of');
            $content = isset($ids[$of])
                ? new Content($fact->content->key, null, null, ['of' => $ids[$of]])
                : $fact->content;
            $id = Str::isUlid($fact->id) ? $fact->id : null;
            $part = $fact->part->at($told->circuit, $own);
            $ids[$fact->id] = $this->at($fact->takenAt)->append($fact->kind, $content, $id, $part)->id;
        }
    }

    /** What something said would be, not kept. @throws NotAFact where it cannot be */
    public function unsaved(Statement $said): Fact
    {
        return $this->fact($said->kind, $this->meant($said), (string) Str::ulid(), $this->partOf($said));
    }

    private function fact(FactKind $kind, Content $content, string $id, PartId $part): Fact
    {
        return new Fact(
            $id,
            $kind,
            $content,
            $this->made->at,
            $this->source,
            $this->author->id,
            $this->visit->circuit->plant_id,
            $part,
        );
    }

    /** @param  ?PartId  $part  that it is about; null: the circuit itself */
    public function append(FactKind $kind, Content $content, ?string $id = null, ?PartId $part = null): Fact
    {
        $part ??= $this->visit->circuit->partId();
        $same = $id === null ? null : $this->kept($id);
        if (
            $same !== null &&
            $same->occasion_id === $this->visit->id &&
            $same->fact()->kind === $kind &&
            $same->fact()->says($content, $part)
        ) {
            return $same->fact();
        }
        $isFree = $id !== null && $same === null;
        $fact = $this->fact($kind, $content, $isFree ? $id : (string) Str::ulid(), $part);
        try {
            FactRecord::query()->create(
                [
                    'occasion_id' => $this->visit->id,
                    'device' => $this->made->device,
                    'made' => $this->made->count,
                ] + FactRecord::columns($fact),
            );
        } catch (UniqueConstraintViolationException) {
            // The same fact arrived twice at once; the other one is kept.
            return $this->kept($fact->id)?->fact() ?? $fact;
        }

        return $fact;
    }

    private function kept(string $id): ?FactRecord
    {
        return FactRecord::query()->where('id', $id)->first();
    }

    /** The ULID $i places after $id; the same for the same two, whenever it is asked. */
    public static function counted(string $id, int $i): string
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
}
