<?php

namespace App\Console\Commands;

use Metrum\Circuit\HouseRules;
use Metrum\Diagnosis\Check;
use Metrum\Diagnosis\Contradiction;
use Metrum\Diagnosis\Diagnosis;
use Metrum\Diagnosis\Suspect;
use Metrum\Exchange\RefusedFile;
use Metrum\Exchange\VisitReader;

/** Diagnoses visit files, one answer a visit. */
final class DiagnoseCommand extends JsonLinesCommand
{
    protected $signature = 'metrum:diagnose {file : a visit file or JSON Lines, - for standard input} {--json : one JSON line a visit (the only form)}';

    protected $description = 'Rank the faults of one or many visits';

    private ?Diagnosis $diagnosis = null;

    protected function answer(string $line, int $number): array
    {
        try {
            $findings = VisitReader::json($line);
        } catch (RefusedFile $file) {
            return [['line' => $number, 'refused' => $file->reasons], true];
        }
        $verdict = ($this->diagnosis ??= new Diagnosis(new HouseRules()))->of($findings, explained: 0);
        $derived = [];
        foreach ($verdict->figures->all() as $key => $figure) {
            $derived[$key] = round($figure->inFileUnit(), 4);
        }

        return [
            [
                'id' => $findings->id,
                'derived' => (object) $derived,
                'ranking' => array_map(
                    static fn (Suspect $one): array => [
                        'fault' => $one->fault->value,
                        'probability' => round($one->probability, 5),
                    ],
                    $verdict->suspects,
                ),
                'next_tests' => array_map(
                    static fn (Check $check): array => [
                        'reading' => $check->key->value,
                        'gain_bits' => round($check->gain, 4),
                    ],
                    $verdict->checks,
                ),
                'contradictions' => array_map(
                    static fn (Contradiction $one): string => $one->sentence(),
                    $verdict->contradictions,
                ),
                'settled' => $verdict->unsettled === [],
                'cautions' => $verdict->cautions,
                'refused' => [],
            ],
            false,
        ];
    }
}
