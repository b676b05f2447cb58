<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Findings\Chapter;
use Metrum\Findings\Findings;
use Metrum\Findings\MoveAnswer;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\MoveOutcome;

/** One chapter of the work: what began it, what was foretold, and what came of it. */
final readonly class Account
{
    public ?Forecast $forecast;

    public MoveOutcome $outcome;

    /** Change of the figure that the move was made for, SI; null where it was not read again settled. */
    public ?float $change;

    /**
     * @param  MoveResult  $came  of the move that began it
     * @param  array<string, Fault>  $putRight  faults that a move was proven to have put right until then
     * @param  list<MoveAnswer>  $moved  what all moves until then came to
     */
    public function __construct(
        public Chapter $chapter,
        public MoveResult $came,
        public array $putRight,
        public array $moved = [],
    ) {
        $this->forecast = $came->forecast;
        $this->outcome = $came->outcome;
        $this->change = $came->change();
    }

    /** What is told of a chapter with what came before it: what its move put right, and how the plant answered. */
    public static function following(Chapter $chapter, MoveResult $came, ?self $before): self
    {
        $putRight = $before->putRight ?? [];
        $moved = $before->moved ?? [];
        $move = $chapter->began;
        if ($move !== null && $came->outcome !== MoveOutcome::NotRead && $came->joint === []) {
            $control = Control::from($move->content->key);
            $cured = $control->row()->cures;
            if ($cured !== null && in_array($came->outcome, [MoveOutcome::AsForetold, MoveOutcome::Less], true)) {
                $putRight[$cured->value] = $cured;
            }
            // Where nothing was foretold to move, that nothing moved says nothing.
            if (! $control->row()->isJudgedByAll || $came->forecast?->tells() === true) {
                $moved[] = Outcomes::moved($control, $move, $came->outcome, $moved);
            }
        }

        return new self($chapter, $came, $putRight, $moved);
    }

    /** What is known in it; what was put right is no suspect any more. */
    public function findings(): Findings
    {
        return $this->chapter->findings->withRuledOut(...array_values($this->putRight))->withMoved($this->moved);
    }

    /** What is weighed: a complaint is of the plant as it was found; after a move what is read now speaks. */
    public function evidence(): Findings
    {
        return $this->chapter->began === null ? $this->findings() : $this->findings()->withoutComplaints();
    }
}
