<?php

declare(strict_types=1);

namespace Metrum\Work\Cards;

use Metrum\Diagnosis\Gate;
use Metrum\Language\Sentence;
use Metrum\Language\WorkReason;
use Metrum\Log\Content;
use Metrum\Log\Kinds\StepTaken;
use Metrum\Log\NotAFact;

/** Whether a card may be begun, or one of its steps be answered. */
final readonly class MayWork
{
    public function __construct(private Run $run)
    {
    }

    /** @throws NotAFact where a gate does not hold and nobody says why it is begun all the same */
    public function begin(Content $begun): void
    {
        $firm = (new Gate($this->run->gates()))->firm();
        if ($firm !== []) {
            throw NotAFact::said(
                Sentence::of(WorkReason::NotBegun, what: $this->run->card->name, why: Gate::why($firm)),
            );
        }
        $failing = $this->run->failing();
        if ($failing !== [] && $begun->text('reason') === '') {
            throw NotAFact::said(
                Sentence::of(WorkReason::NotBegunYet, what: $this->run->card->name, why: Gate::why($failing)),
            );
        }
    }

    /** @throws NotAFact where the step is shut: by a stop, or by a question before it that can stop the work */
    public function answer(Content $answer): void
    {
        $step = StepTaken::step($answer->key);
        $run = $this->run;
        if ($step === null || $answer->isCleared() || ! $run->progress->isBegun() || ! $run->isShut($step)) {
            return;
        }
        $stop = $run->stop();
        throw $stop === null
            ? NotAFact::said(
                Sentence::of(WorkReason::AnswerFirst, question: $run->awaited()->label ?? $run->card->name),
            )
            : NotAFact::because($run->says($stop->outcome));
    }
}
