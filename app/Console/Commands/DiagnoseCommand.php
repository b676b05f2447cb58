<?php

namespace App\Console\Commands;

use Metrum\Circuit\HouseRules;
use Metrum\Circuit\Refused;
use Metrum\Diagnosis\Check;
use Metrum\Diagnosis\Contradiction;
use Metrum\Diagnosis\Diagnosis;
use Metrum\Diagnosis\Suspect;
use Metrum\Diagnosis\Verdict;
use Metrum\Exchange\VisitReader;
use Metrum\Findings\Figure;
use Metrum\Findings\Findings;
use Metrum\Plant\Twins;

/** Diagnoses visit files, one answer a visit. */
final class DiagnoseCommand extends JsonLinesCommand
{
    protected $signature = 'metrum:diagnose
        {file : a visit file or JSON Lines, - for standard input}
        {--json : one JSON line a visit (the only form)}';

    protected $description = 'Rank the faults of one or many visits';

    private ?Diagnosis $diagnosis = null;

    protected function answer(string $line, int $number): Answered
    {
        try {
            $findings = VisitReader::json($line);
        } catch (Refused $file) {
            return Answered::refused($number, $file->reasons);
        }
        // The twins of thousands of strangers are not worth keeping.
        $this->diagnosis ??= new Diagnosis(new HouseRules(), new Twins());

        return Answered::with(self::told($findings, $this->diagnosis->of($findings)));
    }

    /** @return array<string, mixed> */
    private static function told(Findings $findings, Verdict $verdict): array
    {
        $derived = static fn (Figure $figure): float => round($figure->inFileUnit(), 4);
        $suspect = static fn (Suspect $one): array => [
            'fault' => $one->fault->value,
            'probability' => round($one->probability, 5),
            ...$one->grade === null ? [] : ['severity' => $one->grade->value],
            ...$one->cause === null ? [] : ['cause' => $one->cause[0]->cause->value],
        ];
        $check = static fn (Check $one): array => [
            'reading' => $one->key->value,
            'gain_bits' => round($one->gain, 4),
        ];
        $sentence = static fn (Contradiction $one): string => $one->sentence();

        return [
            'id' => $findings->id,
            'derived' => (object) array_map($derived, $verdict->figures->all()),
            'ranking' => array_map($suspect, $verdict->suspects),
            'next_tests' => array_map($check, $verdict->checks),
            'contradictions' => array_map($sentence, $verdict->contradictions),
            'settled' => $verdict->settled->isOpen(),
            'cautions' => $verdict->cautions,
            'refused' => [],
        ];
    }
}
