<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\Sign;
use Metrum\Knowledge\Fault;
use Metrum\Twin\Expected;

/**
 * What the judge of a whole plant holds of one of its circuits. The plant is judged once: what is found at the circuit
 * is laid out beside it and never weighed to another verdict.
 */
final readonly class JudgedPlant
{
    /** Chance below which nothing is told apart. */
    private const LEAST = 1e-7;

    /**
     * @param  array<string, float>  $chances  by Fault, of what all circuits share and of its own; together 1
     * @param  ?Expected  $level  of the receiver that all share, here and now, 0 … 1
     */
    public function __construct(private array $chances, private ?Expected $level = null)
    {
    }

    /** What the twin of the whole plant shows where one circuit's cannot know it. */
    public function expected(Sign $sign): ?Expected
    {
        return $sign === Sign::Level ? $this->level : null;
    }

    public function knows(Fault $fault): bool
    {
        return isset($this->chances[$fault->value]);
    }

    /**
     * What has to be said beside the circuit's own evidence, so that both come to the same.
     *
     * What only a circuit by itself can be judged for (a warm suction line) takes its share of what is left for nothing
     * wrong.
     *
     * @param  list<Fault>  $faults  by place
     * @param  array<int, float>  $alone  probability by place, of the circuit's own evidence alone
     * @return array<int, float> nats by place
     */
    public function beside(array $faults, array $alone): array
    {
        $nothing = $this->chances[Fault::NoFault->value] ?? 0.0;
        $taken = 0.0;
        $together = [];
        foreach ($faults as $place => $fault) {
            $together[$place] = $this->chances[$fault->value] ?? $nothing * $alone[$place];
            $taken += $this->knows($fault) ? 0.0 : $together[$place];
        }
        $nats = [];
        foreach ($faults as $place => $fault) {
            $chance = $together[$place] - ($fault === Fault::NoFault ? $taken : 0.0);
            $nats[$place] = log(max(self::LEAST, $chance) / max(self::LEAST, $alone[$place]));
        }

        return $nats;
    }
}
