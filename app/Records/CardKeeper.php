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
            return $this->recorder->append(FactKind::Card, $this->run($said)->done(), $id);
        }
        $content = $this->recorder->meant($said);
        if ($said->key === $card->stepKey(Card::BEGUN)) {
            self::mayBegin($this->run($said), $content);
        }

        return $this->recorder->append(FactKind::Card, $content, $id);
    }

    private function run(Said $said): Run
    {
        $card = StepTaken::card($said->key);
        assert($card !== null);
        $judged = $this->judge->of($this->visit, 0);

        return new Run($card, $said->subject, $judged->work, $judged->log, $this->units);
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
}
