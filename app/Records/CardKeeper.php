<?php

namespace App\Records;

use App\Models\Visit;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Metrum\Card\Card;
use Metrum\Card\StepKind;
use Metrum\Installation\PartId;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\StepTaken;
use Metrum\Log\Kinds\Trace;
use Metrum\Log\NotAFact;
use Metrum\Log\Statement;
use Metrum\Quantity\Units;
use Metrum\Work\Cards\CardStops;
use Metrum\Work\Cards\MayWork;
use Metrum\Work\Cards\Run;

/** Records a step of a card: held back where a gate does not hold, and at its end what the card came to. */
final readonly class CardKeeper
{
    public function __construct(
        private Judge $judge,
        private Recorder $recorder,
        private Visit $visit,
        private Units $units,
    ) {
    }

    /**
     * @return list<Fact> one, or each value of a trace
     *
     * @throws NotAFact where it cannot be, or may not be begun
     */
    public function step(Statement $said, ?string $id): array
    {
        $isTimed = StepTaken::step($said->key)?->kind === StepKind::Time;
        $trace = $isTimed ? Trace::in($said->typed) : null;

        return $trace === null ? [$this->one($said, $id)] : $this->trace($trace, $said, $id ?? (string) Str::ulid());
    }

    /**
     * Each value of a trace at its moment, or none where one of them cannot be.
     *
     * @return list<Fact>
     */
    private function trace(Trace $trace, Statement $said, string $id): array
    {
        $values = array_map(static fn (array $point): Statement => $said->saying($point[1]), $trace->points);
        array_map($this->recorder->meant(...), $values);

        return DB::transaction(function () use ($trace, $values, $id): array {
            $facts = [];
            foreach ($values as $i => $value) {
                $facts[] = $this->one($value, Recorder::counted($id, $i), $trace->points[$i][0]);
            }

            return $facts;
        });
    }

    /** @param  float  $ago  seconds before now that it was seen */
    private function one(Statement $said, ?string $id, float $ago = 0.0): Fact
    {
        $card = StepTaken::card($said->key);
        $kept = $this->kept($said, $id);
        if ($card === null || $kept !== null) {
            return $kept ?? $this->recorder->record($said, $id);
        }
        $part = $this->recorder->partOf($said);
        if ($said->key === $card->stepKey(Card::DONE) && $said->typed !== '') {
            return $this->recorder->append(FactKind::Card, $this->run($card, $part)->done(), $id, $part);
        }
        $meant = $this->recorder->meant($said);
        $content = $ago > 0.0 ? $meant->keeping([Trace::AGO => $ago]) : $meant;
        $run = $this->run($card, $part);
        if ($said->key === $card->stepKey(Card::BEGUN)) {
            (new MayWork($run))->begin($content);
        } else {
            (new MayWork($run))->answer($content);
        }

        return $this->recorder->append(FactKind::Card, $content, $id, $part);
    }

    /** The same step, sent again. */
    private function kept(Statement $said, ?string $id): ?Fact
    {
        $part = $this->recorder->partOf($said);
        foreach ($id === null ? [] : $this->visit->log()->facts as $fact) {
            $isSame = $fact->content->key === $said->key && $fact->part->is($part);
            if ($fact->id === $id && $fact->kind === FactKind::Card && $isSame) {
                return $fact;
            }
        }

        return null;
    }

    /**
     * Keeps what stops a card as soon as it is told, whatever told it: in the log, on the report, for whoever comes
     * next. Where what stopped it was taken back, so is the stop.
     */
    public function keepStops(): void
    {
        $stops = new CardStops($this->judge->assessment($this->visit), $this->units);
        $gone = $stops->toTakeBack();
        foreach ($stops->toKeep() as $run) {
            $this->recorder->append(FactKind::Card, $run->done(), null, $run->part);
        }
        foreach ($gone as $stop) {
            $this->recorder->undo($stop);
        }
    }

    private function run(Card $card, PartId $part): Run
    {
        $work = $this->judge->assessment($this->visit);

        return new Run($card, $part, $work, $work->log, $this->units);
    }
}
