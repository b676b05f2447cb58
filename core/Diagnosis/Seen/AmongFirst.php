<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Seen;

use Metrum\Circuit\Fault;
use Metrum\Diagnosis\Examination;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Findings\Mark;

/**
 * A fault that is seen stays among the first three whatever else is found: it is there, even where something else is
 * worse. Two figures that lie on the other side than it moves them say that it was seen wrong.
 */
final readonly class AmongFirst
{
    private const FIRST = 3;

    private const CONTRADICT = 2;

    public function __construct(private Examination $examined)
    {
    }

    /**
     * @param  array<string, float>  $chances  by Fault
     * @return array<string, float> by Fault
     */
    public function kept(array $chances): array
    {
        $seen = [];
        foreach ($this->examined->seen as $one) {
            // Of those that it may be the likeliest stays.
            $open = array_intersect_key($chances, array_flip(array_column($one->faults, 'value')));
            arsort($open);
            $name = array_key_first($open);
            if ($name !== null && ! $this->isContradicted(Fault::from($name))) {
                $seen[$name] = $chances[$name];
            }
        }
        if ($seen === []) {
            return $chances;
        }
        arsort($seen);
        $others = array_diff_key($chances, $seen);
        rsort($others);
        $least = $others[max(0, self::FIRST - count($seen))] ?? 0.0;
        foreach (array_slice($seen, 0, self::FIRST, true) as $name => $chance) {
            $chances[$name] = max($chance, 1.001 * $least);
        }
        $sum = array_sum($chances);

        return array_map(static fn (float $one): float => $one / $sum, $chances);
    }

    private function isContradicted(Fault $fault): bool
    {
        $entry = FaultCatalogue::entry($fault);
        $against = 0;
        foreach ($this->examined->signals as $name => $signal) {
            $shift = $entry->signs[$name] ?? null;
            $isOdd = abs($signal->deviations()) > Mark::FINE_WITHIN;
            $against += $isOdd && $shift !== null && $shift->mean * $signal->deviations() < 0.0 ? 1 : 0;
        }

        return $against >= self::CONTRADICT;
    }
}
