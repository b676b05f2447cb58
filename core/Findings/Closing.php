<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Installation\PartId;

/** A circuit whose valves were closed, or opened again, and what the receiver and the header showed then. SI. */
final readonly class Closing
{
    /**
     * @param  bool  $closes  else it was opened again
     * @param  ?float  $levelBefore  of the receiver, 0 … 1; null where it was not read
     * @param  ?float  $levelAfter  the last one read before the next circuit was closed or opened
     * @param  ?float  $headerBefore  Pa gauge
     * @param  ?float  $headerAfter  Pa gauge
     * @param  list<string>  $closed  circuits that were closed before this one, by their part
     */
    public function __construct(
        public PartId $circuit,
        public bool $closes,
        public \DateTimeImmutable $at,
        public ?float $levelBefore,
        public ?float $levelAfter,
        public ?float $headerBefore,
        public ?float $headerAfter,
        public array $closed,
    ) {
    }

    /** By how much the level rose, as a share of the receiver; null where it was not read before and after. */
    public function rise(): ?float
    {
        return $this->levelBefore === null || $this->levelAfter === null
            ? null
            : $this->levelAfter - $this->levelBefore;
    }
}
