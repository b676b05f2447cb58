<?php

declare(strict_types=1);

namespace Metrum\Work\Desk;

use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\Verdict;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Fault;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\StepTaken;
use Metrum\Work\Assessment;
use Metrum\Work\Leaks\LeakWork;

/** What is still to be done about a fault: nothing is proposed that was done at this visit. */
final readonly class Remedies
{
    public function __construct(private Assessment $assessment)
    {
    }

    /** Whether the fault's own remedy was done: its move made, its card ended; of a shortage, its leak mended. */
    public function isDone(Fault $fault): bool
    {
        if (Verdict::isShortage($fault)) {
            return (new LeakWork($this->assessment))->isMended();
        }
        $remedy = FaultCatalogue::entry($fault)->remedy;
        foreach ($this->assessment->log->history(FactKind::Move) as $fact) {
            $control = Control::from($fact->content->key);
            if ($control === $remedy->move || $control->row()->cures === $fault) {
                return true;
            }
        }
        foreach ($remedy->card === '' ? [] : $this->assessment->log->history(FactKind::Card) as $fact) {
            $isEnd = StepTaken::outcome($fact->content) !== null && ! StepTaken::isStop($fact->content);
            if ($isEnd && StepTaken::card($fact->content->key)?->key === $remedy->card) {
                return true;
            }
        }

        return false;
    }
}
