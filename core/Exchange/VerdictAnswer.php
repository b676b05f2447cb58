<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Diagnosis\Check;
use Metrum\Diagnosis\Contradiction;
use Metrum\Diagnosis\Seen\SeenFault;
use Metrum\Diagnosis\Suspect;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Figure;
use Metrum\Findings\Findings;
use Metrum\Quantity\Unit;
use Metrum\Quantity\Units;

/** A verdict as other programs read it (visit-file.md, "The answer"), in file units: the one form of it. */
final class VerdictAnswer
{
    /** @return array<string, mixed> */
    public static function of(Findings $findings, Verdict $verdict): array
    {
        $derived = static fn (Figure $figure): float => round($figure->inFileUnit(), 4);
        $sentence = static fn (Contradiction $one): string => $one->sentence()->in(self::units());

        return [
            'id' => $findings->id,
            'derived' => (object) array_map($derived, $verdict->figures->all()),
            'seen' => array_map(self::seen(...), $verdict->seen),
            'ranking' => array_map(self::suspect(...), $verdict->suspects),
            'next_tests' => array_map(self::check(...), $verdict->checks),
            'contradictions' => array_map($sentence, $verdict->contradictions),
            'settled' => $verdict->settled->isOpen(),
            'cautions' => $verdict->cautions,
            'refused' => [],
        ];
    }

    /** In which files tell their figures. */
    public static function units(): Units
    {
        return new Units(pressure: Unit::Kilopascal);
    }

    /** @return array<string, mixed> */
    private static function seen(SeenFault $seen): array
    {
        return [
            'by' => $seen->asked->value,
            ...$seen->word === null ? [] : ['word' => $seen->word->value],
            'faults' => array_column($seen->faults, 'value'),
        ];
    }

    /** @return array<string, mixed> */
    private static function suspect(Suspect $suspect): array
    {
        return [
            'fault' => $suspect->fault->value,
            'probability' => round($suspect->probability, 5),
            ...$suspect->grade === null ? [] : ['severity' => $suspect->grade->value],
            ...$suspect->cause === null ? [] : ['cause' => $suspect->cause[0]->cause->value],
        ];
    }

    /** @return array<string, mixed> */
    private static function check(Check $check): array
    {
        return ['reading' => $check->key->value, 'gain_bits' => round($check->gain, 4)];
    }
}
