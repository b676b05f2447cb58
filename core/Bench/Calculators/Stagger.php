<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

/** How many fixtures are in defrost at a moment. A defrost goes from its start up to, not including, its end. */
final readonly class Stagger
{
    /** @param  list<array{float, float}>  $defrosts  start and end, s */
    public function __construct(private array $defrosts)
    {
    }

    public function with(float $start, float $end): self
    {
        return new self([...$this->defrosts, [$start, $end]]);
    }

    public function at(float $moment): int
    {
        return count(
            array_filter(
                $this->defrosts,
                static fn (array $one): bool => $one[0] <= $moment && $moment < $one[1],
            ),
        );
    }

    /** @return list<float> moments at which another begins, in order */
    public function starts(): array
    {
        $starts = array_column($this->defrosts, 0);
        sort($starts);

        return $starts;
    }

    /** @return list<float> moments at which one ends, in order */
    public function ends(): array
    {
        $ends = array_column($this->defrosts, 1);
        sort($ends);

        return $ends;
    }
}
