<?php

namespace App\Console\Commands;

use Metrum\Data\Refused;
use Metrum\Exchange\RackAnswer;
use Metrum\Exchange\VisitAnswer;
use Metrum\Exchange\VisitReader;
use Metrum\Findings\RackFindings;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Twin\Twins;

/** Diagnoses visit files, one answer a visit. */
final class DiagnoseCommand extends JsonLinesCommand
{
    protected $signature = 'metrum:diagnose
        {file : a visit file or JSON Lines, - for standard input}
        {--json : one JSON line a visit (the only form)}';

    protected $description = 'Rank the faults of one or many visits';

    private ?VisitAnswer $answers = null;

    protected function answer(string $line, int $number): LineAnswer
    {
        try {
            $visit = VisitReader::any($line);
        } catch (Refused $refused) {
            return LineAnswer::refused($number, $refused->reasons);
        }
        if ($visit instanceof RackFindings) {
            return $this->ofRack($visit, $number);
        }
        // The twins of thousands of strangers are not worth keeping.
        $this->answers ??= new VisitAnswer(new Twins());

        return LineAnswer::with($this->answers->of($visit));
    }

    private function ofRack(RackFindings $found, int $number): LineAnswer
    {
        try {
            return LineAnswer::with(RackAnswer::of($found));
        } catch (OutsideTable $reason) {
            return LineAnswer::refused($number, ['design: '.$reason->getMessage()]);
        }
    }
}
