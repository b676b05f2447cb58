<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Seen;

/**
 * A fault that is seen stays among the first three whatever else is found: it is there, even where something else is
 * worse.
 */
final readonly class AmongFirst
{
    private const BEHIND_THE_FIRST = 2;

    private const PLAIN = 0.9;

    private const LITTLE_READ = 0.3;

    /**
     * @param  list<Seen>  $seen
     * @param  float  $share  at which what is seen stands above what is measured, 0 … 1
     */
    public function __construct(private array $seen, private float $share)
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
            // Of what was only judged enough figures know more.
            $isPlain = $one->sureness() > self::PLAIN || $this->share > self::LITTLE_READ;
            if ($name !== null && $isPlain) {
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
