<?php

namespace App\View;

use Metrum\Card\Step;
use Metrum\Card\StepKind;
use Metrum\Log\Fact;

/** One step of an open card, as it is shown. */
final readonly class CardStep
{
    /**
     * @param  string  $value  as it was answered, in one's own units; empty: not yet
     * @param  string  $unit  in which an amount is typed
     * @param  string  $word  as it was answered, in the words of the file
     * @param  list<Fact>  $series  of a timed series
     * @param  list<string>  $said  what a figure says
     * @param  bool  $isShut  nothing is asked here as long as something before it stops the work
     * @param  bool  $isPast  taken before a move that was made since: it stands
     */
    public function __construct(
        public Step $step,
        public string $id,
        public bool $isTaken,
        public bool $isNext,
        public bool $isPast = false,
        public string $value = '',
        public string $unit = '',
        public string $word = '',
        public array $series = [],
        public array $said = [],
        public bool $isShut = false,
    ) {
    }

    public function is(StepKind $kind): bool
    {
        return $this->step->kind === $kind;
    }

    /** What it was answered, once it cannot be changed any more. */
    public function said(): string
    {
        $isAnswer = $this->step->field !== null || $this->step->reading !== null || $this->step->observation !== null;

        return $this->value !== '' && ($isAnswer || $this->step->answers !== []) ? $this->value : 'done';
    }

    public function domId(): string
    {
        return 'step-'.str_replace('_', '-', $this->step->key);
    }
}
