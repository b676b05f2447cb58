<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\Fault;

/**
 * What an answer not yet given would tell: how likely each outcome is, which fault it would put first, how many bits.
 */
final readonly class Foresight
{
    /** Hypotheses less likely than this change nothing that can be seen in a gain. */
    private const LEAST_LIKELY = 4e-4;

    /** The hypotheses that are still likely. */
    public Hypotheses $hypotheses;

    /** @var list<float> their probabilities */
    private array $posterior;

    private float $entropy;

    public function __construct(private Weighing $weighing)
    {
        $likely = array_filter($weighing->posterior, static fn (float $p): bool => $p > self::LEAST_LIKELY);
        $places = $likely === [] ? [0] : array_keys($likely);
        $this->hypotheses = $weighing->hypotheses->at($places);
        $this->posterior = array_map(static fn (int $i): float => $weighing->posterior[$i], $places);
        $now = array_fill(0, count($this->hypotheses->faults), 0.0);
        foreach ($this->posterior as $i => $p) {
            $now[$this->hypotheses->faultOf[$i]] += $p;
        }
        $this->entropy = self::entropy($now, array_sum($now));
    }

    /**
     * What each outcome would mean, and how much the answer is expected to tell.
     *
     * @param  list<list<float>>  $columns  chance by outcome, by hypothesis
     * @param  string  $family  of the evidence that the answer would be
     * @return array{list<Prospect>, float} by outcome; gain in bits
     */
    public function assess(array $columns, string $family): array
    {
        $share = $this->weighing->shareLeft($family);
        $faultOf = $this->hypotheses->faultOf;
        $prospects = [];
        $after = $whole = 0.0;
        foreach ($columns as $column) {
            $faults = array_fill(0, count($this->hypotheses->faults), 0.0);
            $chance = $sum = 0.0;
            foreach ($this->posterior as $i => $p) {
                $chance += $p * $column[$i];
                $weight = $p * $column[$i] ** $share;
                $faults[$faultOf[$i]] += $weight;
                $sum += $weight;
            }
            $prospects[] = self::prospect($chance, $faults, $sum, $this->hypotheses->faults);
            $after += $chance * self::entropy($faults, $sum);
            $whole += $chance;
        }

        return [$prospects, max(0.0, $this->entropy - $after / max(1e-9, $whole))];
    }

    /**
     * @param  non-empty-array<int, float>  $weights
     * @param  list<Fault>  $faults
     */
    private static function prospect(float $chance, array $weights, float $sum, array $faults): Prospect
    {
        $first = array_key_first($weights);
        foreach ($weights as $i => $weight) {
            if ($weight > $weights[$first]) {
                $first = $i;
            }
        }

        return new Prospect($chance, $faults[$first], $weights[$first] / $sum);
    }

    /** @param  array<int, float>  $weights */
    private static function entropy(array $weights, float $sum): float
    {
        $entropy = 0.0;
        foreach ($weights as $weight) {
            if ($weight > 1e-12) {
                $entropy -= ($weight / $sum) * log($weight / $sum, 2);
            }
        }

        return $entropy;
    }
}
