<?php

declare(strict_types=1);

namespace Metrum\Card;

use Metrum\Bench\Calculation;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\HouseRule;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Field;

/** One step of a card: what is said, taken, ticked, chosen, waited for, timed, moved or worked out. */
final readonly class Step
{
    /**
     * @param  string  $key  its name within the card
     * @param  string  $label  what is asked or said
     * @param  ?Field  $field  of an amount of the card's own
     * @param  ?Reading  $reading  of the visit, that it takes
     * @param  ?Observation  $observation  of the visit, that it asks
     * @param  array<string, string>  $answers  of the card's own, label by word
     * @param  ?HouseRule  $rule  how long is waited
     * @param  ?Control  $control  that is moved
     * @param  ?Calculation  $figure  that is worked out
     * @param  array<string, Ref>  $with  its inputs, by key
     * @param  list<Clause>  $if  asked only where all hold
     * @param  list<string>  $cautions
     * @param  string  $touches  what it leaves to be put back
     * @param  string  $restores  what it puts back
     * @param  int  $least  values that a timed series must have
     * @param  string  $every  how often one is taken, in words
     * @param  list<Stop>  $stops  what ends the work here, before the next step
     * @param  ?AnswersDrawn  $drawn  how its own answers are drawn
     */
    public function __construct(
        public string $key,
        public StepKind $kind,
        public string $label,
        public ?Field $field = null,
        public ?Reading $reading = null,
        public ?Observation $observation = null,
        public array $answers = [],
        public ?HouseRule $rule = null,
        public ?Control $control = null,
        public ?Calculation $figure = null,
        public array $with = [],
        public array $if = [],
        public array $cautions = [],
        public string $touches = '',
        public string $restores = '',
        public int $least = 1,
        public string $every = '',
        public bool $isFresh = false,
        public bool $isOptional = false,
        public array $stops = [],
        public ?AnswersDrawn $drawn = null,
    ) {
    }

    /** Whether its answer is a fact of the card, not one of the visit. */
    public function isOwn(): bool
    {
        return match ($this->kind) {
            StepKind::Take, StepKind::Time => $this->field !== null,
            StepKind::Choose => $this->answers !== [],
            StepKind::Tick, StepKind::Wait => true,
            StepKind::Say, StepKind::Move, StepKind::Figure => false,
        };
    }
}
