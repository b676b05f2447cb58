<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

/**
 * What an answer not yet given would tell: how likely each outcome is, which fault it would put first, how many bits.
 */
final readonly class Foresight
{
    /**
     * Share at which a chance counts: what is found next overlaps with what is known. The curves' own weights would
     * say too little, since one finding is shared out between several of them.
     */
    private const COUNTS = 0.8;

    /** Chance that is never gone below. */
    private const NEVER_NONE = 1e-3;

    /** Probability below which a fault changes nothing that can be seen in a gain. */
    private const LEAST = 1e-3;

    private float $entropy;

    /** @var list<int> places of the faults that are still likely */
    private array $likely;

    public function __construct(private Weighing $weighing)
    {
        $this->likely = array_keys(
            array_filter($weighing->posterior, static fn (float $one): bool => $one > self::LEAST),
        );
        $this->entropy = self::entropy($weighing->posterior);
    }

    /**
     * What each outcome would mean, and how much the answer is expected to tell.
     *
     * @param  array<int|string, array<int, float>>  $outcomes  chance of each under every fault, by place
     * @param  array<int|string, int|string>  $groups  what is told as one, by outcome; absent: by itself
     * @return array{array<int|string, Prospect>, float} by group; gain in bits
     */
    public function assess(array $outcomes, array $groups = []): array
    {
        $gathered = $chances = [];
        $after = $whole = 0.0;
        foreach ($outcomes as $outcome => $likelihood) {
            $chance = 0.0;
            foreach ($this->likely as $place) {
                $chance += $this->weighing->posterior[$place] * $likelihood[$place];
            }
            $then = $this->then($likelihood);
            $after += $chance * self::entropy($then);
            $whole += $chance;
            $group = $groups[$outcome] ?? $outcome;
            $chances[$group] = ($chances[$group] ?? 0.0) + $chance;
            foreach ($then as $place => $probability) {
                $gathered[$group][$place] = ($gathered[$group][$place] ?? 0.0) + $chance * $probability;
            }
        }
        $prospects = [];
        foreach ($gathered as $group => $faults) {
            $prospects[$group] = $this->prospect($chances[$group] / max(1e-9, $whole), $faults);
        }

        return [$prospects, max(0.0, $this->entropy - $after / max(1e-9, $whole))];
    }

    /**
     * Probabilities of the likely faults after an answer.
     *
     * @param  array<int, float>  $chances  of that answer, by place
     * @return array<int, float> by place
     */
    private function then(array $chances): array
    {
        $then = [];
        $sum = 0.0;
        foreach ($this->likely as $place) {
            $counts = max(self::NEVER_NONE, $chances[$place]) ** self::COUNTS;
            $then[$place] = $this->weighing->posterior[$place] * $counts;
            $sum += $then[$place];
        }
        foreach ($then as $place => $one) {
            $then[$place] = $one / $sum;
        }

        return $then;
    }

    /** @param  non-empty-array<int, float>  $faults */
    private function prospect(float $chance, array $faults): Prospect
    {
        $first = (int) array_search(max($faults), $faults, true);

        return new Prospect(
            $chance,
            $this->weighing->curves->faults[$first],
            $faults[$first] / max(1e-12, array_sum($faults)),
        );
    }

    /** @param  array<int, float>  $probabilities */
    private static function entropy(array $probabilities): float
    {
        $entropy = 0.0;
        foreach ($probabilities as $one) {
            if ($one > 1e-9) {
                $entropy -= $one * log($one, 2);
            }
        }

        return $entropy;
    }
}
