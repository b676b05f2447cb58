<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Knowledge\MoveOutcome;
use Metrum\Log\Fact;

/** What came of a move: by what was read first once it had settled, which stays; and by what was read later. */
final readonly class MoveResult
{
    /**
     * @param  ?Forecast  $forecast  null: nothing could be foretold
     * @param  array<string, float>  $changes  of every figure that was foretold and read again, SI by figure
     * @param  ?MoveOutcome  $later  what later readings say, where it is something else
     * @param  list<Fact>  $joint  what else was moved before anything was read: then it is what all did together
     */
    private function __construct(
        public ?Forecast $forecast,
        public MoveOutcome $outcome,
        public array $changes = [],
        public ?MoveOutcome $later = null,
        public array $joint = [],
    ) {
    }

    public static function nothing(?Forecast $forecast): self
    {
        return new self($forecast, MoveOutcome::NotRead);
    }

    /**
     * @param  array<string, float>  $first  changes by what was read first
     * @param  array<string, float>  $last  the same by what was read last
     * @param  bool  $byAll  whether all figures count, or the main one
     * @param  list<Fact>  $joint
     */
    public static function read(Forecast $forecast, array $first, array $last, bool $byAll, array $joint): self
    {
        $outcome = $forecast->outcome($first, $byAll);
        $later = $forecast->outcome($last, $byAll);

        return new self($forecast, $outcome, $first, $later === $outcome ? null : $later, $joint);
    }

    /** Change of the figure that the move was made for, SI; null where it was not read again. */
    public function change(): ?float
    {
        return $this->changes[$this->forecast?->main()?->figure->value ?? ''] ?? null;
    }
}
