<?php

namespace App\Records;

use App\Models\Visit;
use Metrum\Circuit\Fault;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Findings;

/** What a visit ended on: what was proven where something was, else what the evidence puts first. */
final readonly class VisitOutcome
{
    public Findings $findings;

    public Verdict $verdict;

    public function __construct(public Visit $visit)
    {
        $this->findings = $visit->findings();
        $this->verdict = $visit->verdict($this->findings, checks: 0);
    }

    public function isProven(): bool
    {
        return $this->findings->confirmed !== [];
    }

    public function title(): string
    {
        return match (true) {
            $this->isProven() => implode(
                '; ',
                array_map(FaultCatalogue::name(...), $this->findings->confirmed),
            ),
            $this->verdict->blank => 'Nothing entered yet',
            default => $this->verdict->first()->entry()->name,
        };
    }

    /** Null where it was proven, or nothing was entered. */
    public function probability(): ?float
    {
        return $this->isProven() || $this->verdict->blank ? null : $this->verdict->first()->probability;
    }

    /** ● act, ◐ look, ○ fine, by what stands first and how surely. */
    public function mark(): string
    {
        $first = $this->verdict->first();

        return match (true) {
            $this->isProven() => '●',
            $this->verdict->blank || ($first->fault === Fault::NoFault && $first->probability > 0.5) => '○',
            $first->fault !== Fault::NoFault && $first->probability > 0.6 => '●',
            default => '◐',
        };
    }
}
