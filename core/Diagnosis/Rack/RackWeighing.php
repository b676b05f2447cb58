<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Rack;

use Metrum\Installation\PartId;
use Metrum\Knowledge\Fault;

/** What curves and words say of the faults of a plant, or of one circuit: prior and evidence in nats, added up. */
final readonly class RackWeighing
{
    /** @var list<float> nats by place; −INF of what such a plant cannot have */
    public array $scores;

    /** @var list<float> probability by place */
    public array $chances;

    /**
     * @param  list<RackEvidence>  $evidence
     * @param  list<Fault>  $closed  that it cannot have
     * @param  array<int, float>  $shares  nats by place, that suction groups make a fault likelier than the likeliest
     * @param  array<int, PartId>  $groups  by place, the suction group that a fault is likeliest of
     */
    public function __construct(
        public RackCurves $curves,
        public array $evidence,
        array $closed,
        array $shares = [],
        private array $groups = [],
    ) {
        $scores = $curves->prior;
        foreach ($shares as $place => $nats) {
            $scores[$place] += $nats;
        }
        foreach ($evidence as $piece) {
            foreach ($piece->weights as $place => $weight) {
                $scores[$place] += $weight;
            }
        }
        foreach ($curves->faults as $place => $fault) {
            $scores[$place] = in_array($fault, $closed, true) ? -INF : $scores[$place];
        }
        $this->scores = array_values($scores);
        $this->chances = self::softmax($this->scores);
    }

    /**
     * @param  non-empty-list<float>|list<float>  $scores
     * @return list<float>
     */
    public static function softmax(array $scores): array
    {
        $top = $scores === [] ? 0.0 : max($scores);
        $chances = array_map(static fn (float $one): float => exp($one - $top), $scores);
        $sum = array_sum($chances);

        return array_map(static fn (float $one): float => $one / $sum, $chances);
    }

    /** Of several suction groups the one that a fault is likeliest of; null where there is one, or it is of all. */
    public function groupOf(Fault $fault): ?PartId
    {
        return $this->groups[(int) array_search($fault, $this->curves->faults, true)] ?? null;
    }

    public function chanceOf(Fault $fault): float
    {
        $place = array_search($fault, $this->curves->faults, true);

        return $place === false ? 0.0 : $this->chances[$place];
    }

    /**
     * What each thing says for a fault, beside what it says on the average.
     *
     * @return list<array{RackEvidence, float}> heaviest first
     */
    public function weightsFor(Fault $fault): array
    {
        $own = (int) array_search($fault, $this->curves->faults, true);
        $weights = [];
        foreach ($this->evidence as $piece) {
            $mean = 0.0;
            foreach ($this->chances as $place => $chance) {
                $mean += $chance * $piece->weights[$place];
            }
            $rest = 1 - $this->chances[$own];
            $others = $rest < 1e-6 ? 0.0 : ($mean - $this->chances[$own] * $piece->weights[$own]) / $rest;
            $weights[] = [$piece, $piece->weights[$own] - $others];
        }
        usort($weights, static fn (array $a, array $b): int => abs($b[1]) <=> abs($a[1]));

        return $weights;
    }
}
