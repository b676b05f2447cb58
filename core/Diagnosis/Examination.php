<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Diagnosis\Seen\SeenFault;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Findings\Sign;
use Metrum\Findings\Signals;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Twin\Expectation;
use Metrum\Twin\Twins;

/** What was found, freed of what cannot be, beside what a sound plant would show: all that evidence is drawn from. */
final readonly class Examination
{
    /**
     * @param  Findings  $entered  as they were entered
     * @param  Findings  $findings  without what is doubted
     * @param  Figures  $all  of what was entered
     * @param  Figures  $figures  of what is not doubted
     * @param  list<Contradiction>  $contradictions
     * @param  list<Reading|\Metrum\Knowledge\Observation>  $doubted
     * @param  array<string, Signal>  $signals  by Sign
     * @param  list<SeenFault>  $seen  answers that are faults and no mere signs of them
     */
    private function __construct(
        public Findings $entered,
        public Findings $findings,
        public Figures $all,
        public Figures $figures,
        public array $contradictions,
        public array $doubted,
        public Expectation $expectation,
        public Conditions $conditions,
        public array $signals,
        public array $seen,
    ) {
    }

    /**
     * @param  ?Expectation  $expectation  null: by the twin sized from what is known of the circuit
     * @param  ?JudgedPlant  $plant  all of it, where it is one of several circuits
     */
    public static function of(
        Findings $entered,
        HouseRules $rules,
        Twins $twins,
        ?Expectation $expectation = null,
        ?JudgedPlant $plant = null,
    ): self {
        $all = Figures::of($entered, $rules);
        $contradictions = Contradictions::in($entered, $rules, $all);
        $doubted = Contradictions::doubted($contradictions, $entered);
        $findings = $entered->without($doubted);
        $figures = $findings === $entered ? $all : Figures::of($findings, $rules);
        $expectation ??= $twins->expectation($findings, $rules);
        $conditions = new Conditions($findings, $expectation->isCold());
        $signals = self::signalsIn($findings, $figures, $expectation, $plant);

        return new self(
            $entered,
            $findings,
            $all,
            $figures,
            $contradictions,
            $doubted,
            $expectation,
            $conditions,
            $signals,
            SeenFault::in($findings, $signals, $conditions, $rules),
        );
    }

    /** What of it is not judged as it is. */
    public function withheld(): WithheldFigures
    {
        return new WithheldFigures($this->findings, $this->seen);
    }

    /** The same as if no fault had been ruled out. */
    public function nothingRuledOut(): self
    {
        return $this->judging($this->findings->nothingRuledOut());
    }

    /** The same as if a fault had been confirmed. */
    public function withConfirmed(Fault $fault): self
    {
        return $this->judging($this->findings->withConfirmed($fault));
    }

    private function judging(Findings $findings): self
    {
        return new self(
            $this->entered,
            $findings,
            $this->all,
            $this->figures,
            $this->contradictions,
            $this->doubted,
            $this->expectation,
            $this->conditions,
            $this->signals,
            $this->seen,
        );
    }

    /** What was found taken as it is, beside an expectation that is known. */
    public static function by(Findings $findings, HouseRules $rules, Expectation $expectation): self
    {
        $figures = Figures::of($findings, $rules);
        $conditions = new Conditions($findings, $expectation->isCold());
        $signals = self::signalsIn($findings, $figures, $expectation);

        return new self(
            $findings,
            $findings,
            $figures,
            $figures,
            [],
            [],
            $expectation,
            $conditions,
            $signals,
            SeenFault::in($findings, $signals, $conditions, $rules),
        );
    }

    /** @return array<string, Signal> by Sign */
    private static function signalsIn(
        Findings $findings,
        Figures $figures,
        Expectation $expectation,
        ?JudgedPlant $plant = null,
    ): array {
        $measured = new Signals($findings, $figures, $expectation->yardstick());
        $signals = [];
        foreach (Sign::cases() as $sign) {
            $value = $measured->measured($sign);
            $expected = $value === null ? null : $plant?->expected($sign) ?? $expectation->healthy($sign);
            if ($value !== null && $expected !== null) {
                $unsure = SignDoubt::of($sign, $findings);
                $signals[$sign->value] = new Signal($sign, $value, $expected->blurred($unsure));
            }
        }

        return $signals;
    }
}
