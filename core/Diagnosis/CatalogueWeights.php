<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\DataFile;
use Metrum\Circuit\Fault;
use Metrum\Circuit\Metering;
use Metrum\Circuit\Word;
use Metrum\Findings\Findings;

/** Weights from the catalogue's files: arrows of the trade with sizes set by hand from how such plants behave. */
final class CatalogueWeights implements Weights
{
    /** Share of answers that are wrong words: nobody hears or sees right every time. */
    private const SLIP = 0.05;

    /** Signs that have a floor: subcooling and low superheat are gone, the receiver empty, before the fault is at its worst. */
    private const FLOORED = [
        'superheat',
        'superheat_suction',
        'subcooling',
        'subcooling_condenser',
        'valve_subcooling',
        'level',
        'lowest',
    ];

    /** @var array<string, array<string, float|int>> */
    private array $usual = [];

    /** @var array<string, array<string, array<string, array{float, float, float}>>> */
    private array $told = [];

    /** @var array<string, float> */
    private array $complaints;

    private bool $capillary;

    public function __construct(Findings $findings, private readonly Conditions $conditions)
    {
        $this->capillary = $findings->circuit->metering === Metering::Capillary;
        /** @var array<string, float> $complaints */
        $complaints = DataFile::read('evidence/complaints');
        $this->complaints = $complaints;
    }

    public function prior(Fault $fault): float
    {
        $entry = FaultCatalogue::entry($fault);
        $prior = $entry->prior;
        foreach ($entry->scaled as $scale) {
            $prior *= (float) match ($this->conditions->holds($scale['condition'])) {
                true => $scale['true'],
                false => $scale['false'],
                null => $scale['unknown'],
            };
        }

        return $prior;
    }

    public function shift(Fault $fault, Sign $sign, float $severity): array
    {
        $entry = FaultCatalogue::entry($fault);
        $given =
            ($this->capillary ? $entry->capillarySigns[$sign->key] ?? null : null) ??
            ($entry->signs[$sign->key] ?? 0.0);
        [$mean, $spread] = is_array($given) ? $given : [$given, 0.4 * abs($given)];

        $share =
            $mean < 0.0 && in_array($sign->key, self::FLOORED, true) ? min(1.0, 1.6 * $severity) : $severity;

        return [$sign->shiftToSi((float) $mean) * $share, abs($sign->shiftToSi((float) $spread)) * $share];
    }

    public function chance(Fault $fault, string $key, Word $word, float $severity): float
    {
        [$plain, $full, $slip] = $this->told[$key][$word->value][$fault->value] ??= $this->chancesTold(
            $fault,
            $key,
            $word,
        );

        return $slip + (1 - self::SLIP) * ($plain + min(1.0, 1.25 * $severity) * ($full - $plain));
    }

    /** @return array{float, float, float} chance without the fault, with it at its worst, and by a slip */
    private function chancesTold(Fault $fault, string $key, Word $word): array
    {
        $usual = $this->usual[$key] ??= $this->usualOf($key);
        $plain = (float) ($usual[$word->value] ?? 0.0);
        $told = FaultCatalogue::entry($fault)->words[$key] ?? null;
        $full = $plain;
        if ($told !== null) {
            $named = array_sum($told);
            $others = array_sum(array_diff_key($usual, $told));
            $full =
                (float) ($told[$word->value] ??
                    ($others > 0 ? (max(0.0, 1 - $named) * $plain) / $others : 0.0));
        }

        return [$plain, $full, self::SLIP / max(2, count($usual))];
    }

    public function complaintRatio(Fault $fault, string $complaint): float
    {
        $usual = $this->complaints[$complaint];
        $told = FaultCatalogue::entry($fault)->complaints[$complaint] ?? 0.25 * $usual;

        return (0.03 + (float) $told) / (0.03 + $usual);
    }

    /** @return array<string, float|int> */
    private function usualOf(string $key): array
    {
        /** @var array{usual: array<string, float|int>, usual_when?: array<string, array<string, float|int>>} $entry */
        $entry = DataFile::read('evidence/words')[$key];
        foreach ($entry['usual_when'] ?? [] as $condition => $usual) {
            if ($this->conditions->holds($condition) === true) {
                return $usual;
            }
        }

        return $entry['usual'];
    }
}
