<?php

namespace App\Records;

use App\Models\Visit;
use Metrum\Diagnosis\TypedOutcomes;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Findings;
use Metrum\Knowledge\HouseRules;
use Metrum\Log\Log;
use Metrum\Twin\Expectation;
use Metrum\Twin\TwinExpectation;
use Metrum\Work\Assessment;

/** A visit with all that follows from its log, worked once. */
final readonly class JudgedVisit
{
    public function __construct(
        public Visit $visit,
        public Log $log,
        public Findings $findings,
        public HouseRules $rules,
        public Expectation $expectation,
        public Verdict $verdict,
        public Assessment $assessment,
    ) {
    }

    /** What was found since the last move, by which the page is filled in. */
    public function present(): Findings
    {
        return $this->assessment->present()->findings();
    }

    /** What the twin expects; null where no such plant can be built, and house rules stand for it. */
    public function twin(): ?TwinExpectation
    {
        return $this->expectation instanceof TwinExpectation ? $this->expectation : null;
    }

    /** In what the outcomes of a check would be typed. */
    public function asTyped(): TypedOutcomes
    {
        return new TypedOutcomes($this->findings, $this->rules, $this->expectation->yardstick());
    }
}
