<?php

namespace App\Records;

use App\Models\Visit;
use Metrum\Circuit\HouseRules;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Findings;
use Metrum\Log\Log;
use Metrum\Plant\TwinExpectation;

/** A visit with all that follows from its log, worked once. */
final readonly class Judged
{
    public function __construct(
        public Visit $visit,
        public Log $log,
        public Findings $findings,
        public HouseRules $rules,
        public TwinExpectation $expectation,
        public Verdict $verdict,
    ) {
    }
}
