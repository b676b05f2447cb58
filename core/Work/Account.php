<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Chapter;

/** One chapter of the work: what began it, what was foretold, what came of it, and what it says now. */
final readonly class Account
{
    /**
     * @param  ?Forecast  $forecast  of the move that began it; null: as found, or nothing could be foretold
     * @param  ?float  $change  of the figure that the move was made for, SI; null where it was not read again settled
     */
    public function __construct(
        public Chapter $chapter,
        public Verdict $verdict,
        public ?Forecast $forecast,
        public Outcome $outcome,
        public ?float $change,
    ) {
    }
}
