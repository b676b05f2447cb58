<?php

namespace App\Records;

use App\Models\Visit;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\HouseRule;
use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\ClockSet;
use Metrum\Log\Kinds\PlantMoved;
use Metrum\Log\Kinds\WeighedAmount;
use Metrum\Log\Log;
use Metrum\Log\NotAFact;
use Metrum\Log\Statement;
use Metrum\Work\MayMove;

/** Records a move: held back where it may not be made, with its forecast, and with the clock that it starts. */
final readonly class Mover
{
    public function __construct(
        private Judge $judge,
        private Recorder $recorder,
        private Visit $visit,
        private Stock $stock = new Stock(),
    ) {
    }

    /**
     * @param  string  $overruled  why it is made although something speaks against it; empty: it is not
     * @return list<Fact> the move and its clock
     *
     * @throws NotAFact where it cannot be, or may not be made
     */
    public function move(Statement $said, string $overruled, ?string $id): array
    {
        $content = $this->recorder->meant($said);
        $part = $this->recorder->partOf($said);
        $judged = $this->judge->of($this->visit);
        $kept = $this->kept($judged->log, $content, $part, $id);
        if ($kept !== []) {
            return $kept;
        }
        $may = new MayMove($judged->assessment);
        if ($overruled === '') {
            $may->checkRepeat($content, $part, $this->recorder->moment());
        }
        $may->check($content, $overruled, $this->recorder->moment(), $part);
        $this->mayWeigh($content, $judged);
        $control = Control::from($content->key);
        $forecast = $judged->assessment->forecast($control, $content->value ?? 1.0, $part);
        $foretold = $forecast === null || $forecast->figures === [] ? [] : [PlantMoved::FORECAST => $forecast->kept()];
        $move = $this->recorder->append(
            FactKind::Move,
            $content->keeping($foretold + ($overruled === '' ? [] : [PlantMoved::OVERRULED => $overruled])),
            $id,
            $part,
        );
        $wait = $may->wait($control, $content);
        if ($wait <= 0.0) {
            return [$move];
        }
        $clock = new Content(ClockSet::SETTLING, $wait);

        return [$move, $this->recorder->append(FactKind::Clock, $clock, Recorder::counted($move->id, 1), $part)];
    }

    /**
     * The same move sent again, with the clock that it started: what was foretold of it may be another thing by now.
     *
     * @return list<Fact>
     */
    private function kept(Log $log, Content $content, PartId $part, ?string $id): array
    {
        $clock = $id === null ? null : Recorder::counted($id, 1);
        $kept = array_values(array_filter(
            $log->facts,
            static fn (Fact $one): bool => $one->id === $id || $one->id === $clock,
        ));
        $first = $kept[0] ?? null;

        return $first?->kind === FactKind::Move && MayMove::isSame($first, $content, $part) ? $kept : [];
    }

    /** @throws NotAFact where its cylinder cannot have given it, or cannot take it */
    private function mayWeigh(Content $move, JudgedVisit $judged): void
    {
        $id = WeighedAmount::in($move)->cylinder;
        $cylinder = $id === '' ? null : $this->stock->cylinder($id);
        if ($cylinder === null) {
            return;
        }
        $filledFor = $judged->rules->band(HouseRule::CylinderFill)->low;
        $refusal = $cylinder->refusal(
            $judged->findings->circuit->refrigerant,
            -($move->value ?? 0.0),
            $filledFor,
            $this->recorder->units(),
        );
        if ($refusal !== null) {
            throw NotAFact::because($refusal);
        }
    }
}
