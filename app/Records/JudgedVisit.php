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
use Metrum\Work\Desk\Desk;

/** A visit with its assessment and what may be done at it. */
final readonly class JudgedVisit
{
    public Log $log;

    public HouseRules $rules;

    /** What is judged. */
    public Findings $findings;

    public Expectation $expectation;

    public Desk $desk;

    public function __construct(public Visit $visit, public Assessment $assessment, public Verdict $verdict)
    {
        $this->log = $assessment->log;
        $this->rules = $assessment->rules;
        $this->findings = $assessment->judged()->evidence();
        $this->expectation = $assessment->expectation();
        $this->desk = new Desk($assessment, $verdict);
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
