<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Seen;

use Metrum\Knowledge\Fault;

/**
 * A fault that is seen stays among the first three whatever else is found: it is there, even where something else is
 * worse, but for two readings that contradict it.
 */
final readonly class AmongFirst
{
    private const BEHIND_THE_FIRST = 2;

    /** Readings against it from which it was seen wrong, or matters little. */
    private const CONTRADICT = 2;

    /**
     * @param  list<SeenFault>  $seen
     * @param  \Closure(Fault): int  $against  how many things that were measured speak clearly against a fault
     */
    public function __construct(private array $seen, private \Closure $against)
    {
    }

    /**
     * @param  array<string, float>  $chances  by Fault
     * @return array<string, float> by Fault
     */
    public function kept(array $chances): array
    {
        $seen = [];
        foreach ($this->seen as $one) {
            // Of those that it may be the likeliest stays.
            $open = array_intersect_key($chances, array_flip(array_column($one->faults, 'value')));
            arsort($open);
            $name = array_key_first($open);
            if ($name !== null && ($this->against)(Fault::from($name)) < self::CONTRADICT) {
                $seen[$name] = $chances[$name];
            }
        }
        arsort($chances);
        arsort($seen);
        $leads = array_key_first($chances);
        // What leads by all that was found stays where it is.
        $seen = array_slice(array_diff_key($seen, [$leads => 0.0]), 0, self::BEHIND_THE_FIRST, true);
        $others = array_values(array_diff_key($chances, $seen, [$leads => 0.0]));
        $least = $others[self::BEHIND_THE_FIRST - count($seen)] ?? 0.0;
        foreach ($seen as $name => $chance) {
            $chances[$name] = max($chance, 1.001 * $least);
        }
        $sum = array_sum($chances);

        return array_map(static fn (float $one): float => $one / $sum, $chances);
    }
}
