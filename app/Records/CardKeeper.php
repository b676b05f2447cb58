<?php

namespace App\Records;

use App\Models\Visit;
use Metrum\Card\Card;
use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\StepTaken;
use Metrum\Log\NotAFact;
use Metrum\Log\Said;
use Metrum\Quantity\Units;
use Metrum\Work\Cards\BegunCards;
use Metrum\Work\Cards\Run;
use Metrum\Work\Precondition;

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

    /** @throws NotAFact where it cannot be, or may not be begun */
    public function step(Said $said, ?string $id): Fact
    {
        $card = StepTaken::card($said->key);
        $isKept = $id !== null && $this->visit->has($id);
        if ($card === null || $isKept) {
            return $this->recorder->record($said, $id);
        }
        if ($said->key === $card->stepKey(Card::DONE) && $said->typed !== '') {
            return $this->recorder->append(FactKind::Card, $this->run($card, $said->subject)->done(), $id);
        }
        $content = $this->recorder->meant($said);
        $run = $this->run($card, $said->subject);
        if ($said->key === $card->stepKey(Card::BEGUN)) {
            self::mayBegin($run, $content);
        } else {
            self::mayAnswer($run, $content);
        }

        return $this->recorder->append(FactKind::Card, $content, $id);
    }

    /**
     * Keeps what stops a card as soon as it is told, whatever told it: in the log, on the report, for whoever comes
     * next. Where what stopped it was taken back, so is the stop.
     */
    public function keepStops(): void
    {
        $begun = BegunCards::of($this->visit->log());
        foreach ($begun->open() as [$card, $subject]) {
            $run = $this->run($card, $subject);
            if ($run->stop() !== null) {
                $this->recorder->append(FactKind::Card, $run->done());
            }
        }
        foreach ($begun->stopped() as [$card, $subject]) {
            $run = $this->run($card, $subject);
            $done = $run->progress->done();
            if ($done !== null && $run->stop()?->key() !== $done->content->word) {
                $this->recorder->undo($done);
            }
        }
    }

    private function run(Card $card, string $subject): Run
    {
        $work = $this->judge->work($this->visit);

        return new Run($card, $subject, $work, $work->log, $this->units);
    }

    /** @throws NotAFact where a gate does not hold and nobody says why it is begun all the same */
    private static function mayBegin(Run $run, Content $begun): void
    {
        $firm = Precondition::firm($run->gates());
        if ($firm !== []) {
            throw NotAFact::because($run->card->name.' is not begun: '.Precondition::why($firm).'.');
        }
        $failing = $run->failing();
        if ($failing !== [] && $begun->text('reason') === '') {
            $why = Precondition::why($failing);

            throw NotAFact::because(
                $run->card->name.' is not begun yet: '.$why.'. Say why, and it is begun all the same.',
            );
        }
    }

    /** @throws NotAFact where the step is shut: by a stop, or by a question before it that can stop the work */
    private static function mayAnswer(Run $run, Content $answer): void
    {
        $step = StepTaken::step($answer->key);
        if ($step === null || $answer->isCleared() || ! $run->progress->isBegun() || ! $run->isShut($step)) {
            return;
        }
        $stop = $run->stop();
        throw NotAFact::because(
            $stop === null
                ? 'Answer first: "'.($run->awaited()->label ?? $run->card->name).'".'
                : $run->says($stop->outcome),
        );
    }
}
