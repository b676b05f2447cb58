<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\Findings;
use Metrum\Knowledge\Fault;

/** Which cause lies behind a fault, where what was answered tells causes apart. */
final class Causes
{
    /** Probability from which one cause is named. */
    private const NAMED = 0.6;

    /** Chance of an answer that nobody foretold, and least by which it must have moved the causes. */
    private const SLIP = 0.04;

    private const MOVED = 0.1;

    /** @return ?array{CauseEntry, float} the likeliest with its probability; null where nothing tells them apart */
    public static function of(Fault $fault, Findings $findings): ?array
    {
        $entry = FaultCatalogue::entry($fault);
        $causes = $entry->causes;
        $probabilities = $entry->shares();
        foreach ([...$findings->observations, ...$findings->tests] as $asked => $word) {
            foreach ($causes as $key => $cause) {
                $told = $cause->words[$asked] ?? null;
                if ($told !== null) {
                    $other = max(0.0, 1 - array_sum($told));
                    $probabilities[$key] *= self::SLIP + ($told[$word->value] ?? $other);
                }
            }
        }
        $sum = array_sum($probabilities);
        if ($sum <= 0.0) {
            return null;
        }
        arsort($probabilities);
        $first = (string) array_key_first($probabilities);
        $probability = $probabilities[$first] / $sum;
        $moved = abs($probability - $causes[$first]->share);

        return $probability >= self::NAMED && $moved >= self::MOVED ? [$causes[$first], $probability] : null;
    }
}
