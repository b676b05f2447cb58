<?php

declare(strict_types=1);

namespace Metrum\Work\Desk;

/** A way to go on that may be put to an owner. */
final readonly class ChoiceProposal
{
    /**
     * @param  string  $does  what would be done, in the owner's words; empty: nothing
     * @param  float  $seconds  of work
     * @param  bool  $takesRefrigerant  whether some goes in
     * @param  string  $risk  of what it leaves undone
     */
    public function __construct(
        public string $title,
        public string $does,
        public float $seconds,
        public bool $takesRefrigerant,
        public string $risk,
    ) {
    }
}
