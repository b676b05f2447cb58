<?php

declare(strict_types=1);

namespace Metrum\Work\Cards;

use Metrum\Bench\Answer;
use Metrum\Card\Card;
use Metrum\Card\Clause;
use Metrum\Card\Comparison;
use Metrum\Card\Origin;
use Metrum\Card\Outcome;
use Metrum\Card\Ref;
use Metrum\Card\Step;
use Metrum\Card\StepKind;
use Metrum\Card\Stop;
use Metrum\Diagnosis\Gate;
use Metrum\Diagnosis\Requirement;
use Metrum\Installation\PartId;
use Metrum\Log\Content;
use Metrum\Log\Kinds\StepTaken;
use Metrum\Log\Log;
use Metrum\Log\NotAFact;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Work\Assessment;
use Metrum\Work\Preconditions;

/** A card as it is worked at a visit: which steps it asks for now, what they were answered, what it comes to. */
final readonly class Run
{
    /** Share of a bound by which two amounts differ that were typed the same. */
    private const SAME = 1e-9;

    public Progress $progress;

    private Values $values;

    private Reach $reach;

    /** In which it speaks: of a vacuum as it was typed. */
    public Units $units;

    public function __construct(
        public Card $card,
        public PartId $part,
        private Assessment $assessment,
        Log $log,
        Units $units,
    ) {
        $this->progress = new Progress($card, $part, $log);
        $this->units = $units->asTyped($this->progress->typedIn(QuantityKind::AbsolutePressure));
        $this->values = new Values($card, $part, $this->progress, $assessment, $this->units);
        $this->reach = Reach::of($this);
    }

    /** @return list<Step> that are asked for, by what was answered so far */
    public function steps(): array
    {
        return array_values(
            array_filter($this->card->steps, fn (Step $step): bool => $this->hold($step->if) === true),
        );
    }

    public function isTaken(Step $step): bool
    {
        return match ($step->kind) {
            StepKind::Say => true,
            StepKind::Figure => $this->values->answer($step) instanceof Answer,
            StepKind::Time => count($this->progress->said($step)) >= $step->least,
            StepKind::Take,
            StepKind::Tick,
            StepKind::Choose,
            StepKind::Wait,
            StepKind::Move => $this->values->step($step) !== null,
        };
    }

    /** Whether a step may be answered now: nothing stops the work before it, and no stop before it is unanswered. */
    public function isShut(Step $step): bool
    {
        return ! in_array($step, $this->reach->open, true);
    }

    /** What stops the work now; null where nothing does. */
    public function stop(): ?Stop
    {
        return $this->reach->stop;
    }

    /** What stops the work at a step; null where nothing does, or a reason passed it. */
    public function stopAt(Step $step): ?Stop
    {
        foreach ($step->stops as $stop) {
            if (! isset($this->progress->passed()[$stop->key()]) && $this->hold($stop->outcome->when) === true) {
                return $stop;
            }
        }

        return null;
    }

    /** The step that is answered before a shut one can be; null where none is. */
    public function awaited(): ?Step
    {
        return $this->reach->awaited;
    }

    /** The first step that is still to be taken; null where none is. */
    public function next(): ?Step
    {
        foreach ($this->reach->open as $step) {
            if ($step->kind !== StepKind::Figure && ! $step->isOptional && ! $this->isTaken($step)) {
                return $step;
            }
        }

        return null;
    }

    public function known(Step $step): ?StepValue
    {
        return $this->values->step($step);
    }

    /** What a figure answers, why it cannot, or null as long as something for it is missing. */
    public function answer(Step $step): Answer|string|null
    {
        return $this->values->answer($step);
    }

    /** @return list<Requirement> */
    public function gates(): array
    {
        $preconditions = Preconditions::at($this->assessment, $this->assessment->judged(), $this->part);

        return $preconditions->all($this->card->gates);
    }

    /** @return list<Requirement> that do not hold: a word is wanted before it is begun */
    public function failing(): array
    {
        return (new Gate($this->gates()))->failing();
    }

    /** What it comes to; null as long as that cannot be told. */
    public function outcome(): ?Outcome
    {
        if (! $this->progress->isBegun()) {
            return null;
        }
        if ($this->stop() !== null) {
            return $this->stop()->outcome;
        }
        if ($this->next() !== null) {
            return null;
        }
        foreach ($this->card->outcomes as $outcome) {
            $holds = $this->hold($outcome->when);
            if ($holds === true) {
                return $outcome;
            }
            if ($holds === null) {
                return null;
            }
        }

        return null;
    }

    /** What an outcome says, with the values of this run. */
    public function says(Outcome $outcome): string
    {
        $says = $outcome->says->filled($this->text(...));
        $stop = $this->card->stop($outcome->key);

        return $stop === null ? $says : "$says $stop->does";
    }

    private function text(Ref $ref): string
    {
        return $this->values->of($ref)?->text($this->units) ?? 'not known';
    }

    /** The end of the card as it is kept. @throws NotAFact as long as it comes to nothing */
    public function done(): Content
    {
        $outcome = $this->outcome();
        if ($outcome === null) {
            $next = $this->next();

            throw NotAFact::because(
                $this->card->name.' is not at its end yet'.($next === null ? '.' : ": $next->label."),
            );
        }
        $keeps = [];
        foreach ($outcome->keeps as $reading => $ref) {
            $si = $this->values->of($ref)?->si();
            if ($si !== null) {
                $keeps[$reading] = $si;
            }
        }

        return StepTaken::done($this->card, $outcome, $this->says($outcome), $keeps);
    }

    /**
     * Whether all clauses hold; null where that is not known. One that does not hold is enough to say no.
     *
     * @param  list<Clause>  $clauses
     */
    private function hold(array $clauses): ?bool
    {
        $all = true;
        foreach ($clauses as $clause) {
            $holds = $this->holds($clause);
            if ($holds === false) {
                return false;
            }
            $all = $holds === null ? null : $all;
        }

        return $all;
    }

    private function holds(Clause $clause): ?bool
    {
        $of = $this->values->of($clause->of);
        if ($clause->comparison === Comparison::Known) {
            return ($of !== null) === $clause->word;
        }
        if ($of === null) {
            return null;
        }
        if ($clause->than === null) {
            return $of->is($clause->word) === ($clause->comparison === Comparison::Is);
        }
        $than = $clause->than->origin === Origin::Number
            ? $of->toSi($clause->than->number)
            : $this->values->of($clause->than)?->si();
        $si = $of->si();
        if ($si === null || $than === null) {
            return null;
        }

        $same = self::SAME * max(1.0, abs($than));

        return match ($clause->comparison) {
            Comparison::Above => $si > $than + $same,
            Comparison::AtLeast => $si >= $than - $same,
            Comparison::Below, Comparison::Is, Comparison::IsNot => $si < $than - $same,
        };
    }
}
