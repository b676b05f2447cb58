<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\Fault;
use Metrum\Circuit\Metering;
use Metrum\Circuit\Word;
use Metrum\Findings\Findings;

/** Weights from the catalogue's files: arrows of the trade with sizes set by hand from how such plants behave. */
final class CatalogueWeights implements Weights
{
    /** Share of answers that are wrong words: nobody hears or sees right every time. */
    private const SLIP = 0.05;

    /** @var array<string, array<string, float|int>> */
    private array $usual = [];

    /** @var array<string, float> */
    private array $complaints;

    private bool $capillary;

    public function __construct(Findings $findings, private readonly Conditions $conditions)
    {
        $this->capillary = $findings->circuit->metering === Metering::Capillary;
        /** @var array<string, float> $complaints */
        $complaints = KnowledgeFile::read('evidence/complaints');
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
        $given = ($this->capillary ? $entry->capillarySigns[$sign->key] ?? null : null) ?? $entry->signs[$sign->key] ?? 0.0;
        [$mean, $spread] = is_array($given) ? $given : [$given, 0.4 * abs($given)];

        return [$sign->shiftToSi((float) $mean) * $severity, abs($sign->shiftToSi((float) $spread)) * $severity];
    }

    public function chance(Fault $fault, string $key, Word $word, float $severity): float
    {
        $usual = $this->usual[$key] ??= $this->usualOf($key);
        $plain = (float) ($usual[$word->value] ?? 0.0);
        $told = FaultCatalogue::entry($fault)->words[$key] ?? null;
        $full = $plain;
        if ($told !== null) {
            $named = array_sum($told);
            $others = array_sum(array_diff_key($usual, $told));
            $full = (float) ($told[$word->value] ?? ($others > 0 ? max(0.0, 1 - $named) * $plain / $others : 0.0));
        }
        $share = min(1.0, 1.25 * $severity);

        return self::SLIP / max(2, count($usual)) + (1 - self::SLIP) * ($plain + $share * ($full - $plain));
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
        $entry = KnowledgeFile::read('evidence/words')[$key];
        foreach ($entry['usual_when'] ?? [] as $condition => $usual) {
            if ($this->conditions->holds($condition) === true) {
                return $usual;
            }
        }

        return $entry['usual'];
    }
}
