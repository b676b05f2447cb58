<?php

namespace App\Console\Commands;

use Metrum\Data\Refused;
use Metrum\Exchange\VisitAnswer;
use Metrum\Exchange\VisitReader;
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
            $visit = VisitReader::visit($line);
        } catch (Refused $refused) {
            return LineAnswer::refused($number, $refused->reasons);
        }
        // The twins of thousands of strangers are not worth keeping.
        $this->answers ??= new VisitAnswer(new Twins());

        return LineAnswer::with($this->answers->of($visit));
    }
}
