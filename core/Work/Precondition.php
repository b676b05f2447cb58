<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Circuit\Asked;
use Metrum\Diagnosis\Holding;

/** One thing that must hold before a move: how it stands, by what, and what would tell or mend it. */
final readonly class Precondition
{
    /**
     * @param  string  $label  what must hold
     * @param  string  $detail  by what it stands as it does, or what to do
     * @param  ?Asked  $settledBy  what would tell
     */
    public function __construct(
        public Holding $holding,
        public string $label,
        public string $detail,
        public ?Asked $settledBy = null,
    ) {
    }

    public function holds(): bool
    {
        return $this->holding === Holding::Holds;
    }

    public function fails(): bool
    {
        return $this->holding === Holding::Fails;
    }
}
