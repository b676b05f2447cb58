<?php

declare(strict_types=1);

namespace Metrum\Work\Desk;

use Metrum\Findings\Mark;
use Metrum\Knowledge\Band;
use Metrum\Knowledge\Control;
use Metrum\Language\Sentence;

/** One thing that proves a repair: how it stands, and by what. */
final readonly class Proof
{
    /**
     * @param  Mark  $mark  fine: proven; look: not shown yet; act: missed
     * @param  ?float  $value  what was read, SI; how many, where things are counted
     * @param  ?Band  $wanted  SI
     * @param  list<Sentence>  $reasons  by what it has not settled
     * @param  ?Control  $changed  what a second look is for
     * @param  ?\DateTimeInterface  $on  when that is to be
     */
    public function __construct(
        public Target $target,
        public Mark $mark,
        public ?float $value = null,
        public ?Band $wanted = null,
        public ?Missing $missing = null,
        public array $reasons = [],
        public ?Control $changed = null,
        public ?\DateTimeInterface $on = null,
    ) {
    }

    public function isMissed(): bool
    {
        return $this->mark === Mark::Act;
    }
}
