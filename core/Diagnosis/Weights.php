<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\Complaint;
use Metrum\Circuit\Fault;
use Metrum\Circuit\Question;
use Metrum\Circuit\Word;
use Metrum\Findings\Sign;

/** Where the weights of evidence come from: set by hand in data/faults now, fitted on a simulated plant later. */
interface Weights
{
    /** How likely the fault is before anything is seen, for this plant and weather; not normalised. */
    public function prior(Fault $fault): float;

    /**
     * How far the fault moves a sign from its healthy value, SI.
     *
     * @param  float  $severity  0 … 1
     * @return array{float, float} mean shift and its spread over plants
     */
    public function shift(Fault $fault, Sign $sign, float $severity): array;

    /** Chance of the answer, 0 … 1. */
    public function chance(Fault $fault, Question $asked, Word $word, float $severity): float;

    /** Chance of the complaint ÷ its chance over all visits. */
    public function complaintRatio(Fault $fault, Complaint $complaint): float;
}
