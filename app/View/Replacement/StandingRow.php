<?php

namespace App\View\Replacement;

use Metrum\Work\Replacement\Leaning;

/** One thing that tells of a system, and for what it speaks. */
final readonly class StandingRow
{
    public function __construct(public string $subject, public string $said, public Leaning $side)
    {
    }

    public function isDecided(): bool
    {
        return $this->columns() !== [false, false];
    }

    /** @return array{bool, bool} whether it speaks for repair, and for replacement */
    public function columns(): array
    {
        return [$this->side === Leaning::Repair, $this->side === Leaning::Replacement];
    }
}
