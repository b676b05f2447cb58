<?php

namespace App\Console\Commands;

use Metrum\Circuit\HouseRules;
use Metrum\Circuit\Refused;
use Metrum\Diagnosis\Check;
use Metrum\Diagnosis\Contradiction;
use Metrum\Diagnosis\Diagnosis;
use Metrum\Diagnosis\Seen\Seen;
use Metrum\Diagnosis\Suspect;
use Metrum\Diagnosis\Verdict;
use Metrum\Exchange\VisitReader;
use Metrum\Exchange\WorkAnswer;
use Metrum\Findings\Figure;
use Metrum\Findings\Findings;
use Metrum\Plant\Twins;
use Metrum\Work\Work;

/** Diagnoses visit files, one answer a visit. */
final class DiagnoseCommand extends JsonLinesCommand
{
    protected $signature = 'metrum:diagnose
        {file : a visit file or JSON Lines, - for standard input}
        {--json : one JSON line a visit (the only form)}';

    protected $description = 'Rank the faults of one or many visits';

    private ?Diagnosis $diagnosis = null;

    private ?Twins $twins = null;

    protected function answer(string $line, int $number): Answered
    {
        try {
            $file = VisitReader::visit($line);
        } catch (Refused $refused) {
            return Answered::refused($number, $refused->reasons);
        }
        // The twins of thousands of strangers are not worth keeping.
        $this->twins ??= new Twins();
        $this->diagnosis ??= new Diagnosis(new HouseRules(), $this->twins);
        if ($file->told === null) {
            return Answered::with(self::told($file->findings, $this->diagnosis->of($file->findings)));
        }
        [$log, $chapters] = $file->told;
        $work = new Work($log, $chapters, new HouseRules(), $this->twins);
        $findings = $work->judged()->findings();
        $verdict = $this->diagnosis->of($findings);

        return Answered::with(
            self::told($findings, $verdict) + WorkAnswer::of($log, $work->knowing($verdict)),
        );
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
        $seen = static fn (Seen $one): array => [
            'by' => $one->asked->value,
            ...$one->word === null ? [] : ['word' => $one->word->value],
            'faults' => array_column($one->faults, 'value'),
        ];
        $check = static fn (Check $one): array => [
            'reading' => $one->key->value,
            'gain_bits' => round($one->gain, 4),
        ];
        $sentence = static fn (Contradiction $one): string => $one->sentence();

        return [
            'id' => $findings->id,
            'derived' => (object) array_map($derived, $verdict->figures->all()),
            'seen' => array_map($seen, $verdict->seen),
            'ranking' => array_map($suspect, $verdict->suspects),
            'next_tests' => array_map($check, $verdict->checks),
            'contradictions' => array_map($sentence, $verdict->contradictions),
            'settled' => $verdict->settled->isOpen(),
            'cautions' => $verdict->cautions,
            'refused' => [],
        ];
    }
}
