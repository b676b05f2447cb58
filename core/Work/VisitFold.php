<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Findings\Findings;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Control;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;

/** What later visits of a circuit ask of one that is over, so that nobody folds its log again. */
final readonly class VisitFold
{
    /**
     * @param  Findings  $findings  at its end
     * @param  list<array{Control, PartId, list<list<array{float, float}>>}>  $points  settled readings of what was
     *                                                        moved, by control and part
     * @param  list<Fact>  $moves  that were not taken back
     * @param  ?list<Response>  $learned  of all that was moved until its end; null where earlier visits were not asked
     */
    private function __construct(
        public Findings $findings,
        public array $points,
        public array $moves,
        public ?array $learned,
    ) {
    }

    /** @param  bool  $knowsEarlier  whether the assessment asks earlier visits what was moved there */
    public static function of(Assessment $assessment, bool $knowsEarlier): self
    {
        return new self(
            $assessment->chapters->present()->findings,
            $assessment->responses->points(),
            $assessment->log->history(FactKind::Move),
            $knowsEarlier ? $assessment->responses->everKnown() : null,
        );
    }
}
