<?php

namespace App\Console\Commands;

use Metrum\Data\Refused;
use Metrum\Diagnosis\Diagnosis;
use Metrum\Exchange\VerdictAnswer;
use Metrum\Exchange\VisitReader;
use Metrum\Exchange\WorkAnswer;
use Metrum\Knowledge\HouseRules;
use Metrum\Twin\Twins;
use Metrum\Work\Assessment;

/** Diagnoses visit files, one answer a visit. */
final class DiagnoseCommand extends JsonLinesCommand
{
    protected $signature = 'metrum:diagnose
        {file : a visit file or JSON Lines, - for standard input}
        {--json : one JSON line a visit (the only form)}';

    protected $description = 'Rank the faults of one or many visits';

    private ?Diagnosis $diagnosis = null;

    private ?Twins $twins = null;

    protected function answer(string $line, int $number): LineAnswer
    {
        try {
            $file = VisitReader::visit($line);
        } catch (Refused $refused) {
            return LineAnswer::refused($number, $refused->reasons);
        }
        // The twins of thousands of strangers are not worth keeping.
        $this->twins ??= new Twins();
        $this->diagnosis ??= new Diagnosis(new HouseRules(), $this->twins);
        if ($file->told === null) {
            return LineAnswer::with(VerdictAnswer::of($file->findings, $this->diagnosis->of($file->findings)));
        }
        $assessment = new Assessment($file->told, new HouseRules(), $this->twins);
        $findings = $assessment->judged()->findings();
        $verdict = $this->diagnosis->of($findings);

        return LineAnswer::with(
            VerdictAnswer::of($findings, $verdict) + WorkAnswer::of($assessment->knowing($verdict)),
        );
    }
}
