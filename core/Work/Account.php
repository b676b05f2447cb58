<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Findings\Chapter;
use Metrum\Findings\Findings;
use Metrum\Findings\MoveAnswer;
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
