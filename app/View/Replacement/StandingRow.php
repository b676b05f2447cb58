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
        return in_array(true, $this->columns(), true);
    }

    /** @return array<string, bool> whether it speaks for repair, and for replacement */
    public function columns(): array
    {
        return [
            'repair' => $this->side === Leaning::Repair,
            'replace' => $this->side === Leaning::Replacement,
        ];
    }
}
