<?php

namespace App\Records;

use App\Models\Circuit;
use App\Models\Visit;
use Metrum\Diagnosis\Verdict;

/** The visits of one circuit, newest first, each with what it ended on. */
final class CircuitHistory
{
    /** @var list<array{Visit, Verdict}> */
    public readonly array $visits;

    public function __construct(Circuit $circuit, int $most = 12)
    {
        $this->visits = array_values($circuit->visits()->with('user')->limit($most)->get()
            ->map(static fn (Visit $visit): array => [$visit->setRelation('circuit', $circuit), $visit->verdict(checks: 0)])->all());
    }

    /** @return ?array{Visit, Verdict} */
    public function latest(): ?array
    {
        return $this->visits[0] ?? null;
    }
}
