<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Diagnosis\Diagnosis;
use Metrum\Knowledge\HouseRules;
use Metrum\Twin\Twins;
use Metrum\Work\Assessment;

/** What a visit file is answered, by whoever asks: its verdict, and where it tells its work, what came of that. */
final readonly class VisitAnswer
{
    private const CHECKS = 5;

    private HouseRules $rules;

    private Diagnosis $diagnosis;

    public function __construct(private Twins $twins)
    {
        $this->rules = new HouseRules();
        $this->diagnosis = new Diagnosis($this->rules, $twins);
    }

    /** @return array<string, mixed> in file units */
    public function of(VisitFile $visit): array
    {
        if ($visit->told === null) {
            return VerdictAnswer::of($visit->findings, $this->diagnosis->of($visit->findings));
        }
        $assessment = new Assessment($visit->told, $this->rules, $this->twins);
        $findings = $assessment->judged()->findings();
        $rack = $assessment->rack();
        $verdict = $rack === null ? $this->diagnosis->of($findings) : $assessment->checked(self::CHECKS);
        $answer = VerdictAnswer::of($findings, $verdict) + WorkAnswer::of($assessment->knowing($verdict));

        // A circuit of a rack is judged with all of it, as on its board.
        return $rack === null ? $answer : $answer + ['rack' => RackAnswer::saying($rack)];
    }
}
