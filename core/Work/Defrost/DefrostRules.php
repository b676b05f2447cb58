<?php

declare(strict_types=1);

namespace Metrum\Work\Defrost;

use Metrum\Quantity\Copies;

/** What a plan of defrosts has to keep. */
final readonly class DefrostRules
{
    use Copies;

    /** W of cooling circuits to a W in hot gas defrost: the gas must come from somewhere. */
    public const GAS_FROM = 3.0;

    /** Share of the time between two defrosts of a circuit by which one may be moved. */
    public const MOVED = 0.25;

    /** Levels between which the receiver must stay, as shares of it. */
    public const LEVELS = [0.05, 0.95];

    /**
     * @param  int  $atOnce  circuits in defrost at most
     * @param  list<array{int, int}>  $busy  minutes of the day from which and to which no defrost may run
     * @param  float  $leastCondensing  K below which hot gas has no heat to give
     */
    public function __construct(
        public int $atOnce,
        public array $busy = [],
        public float $leastCondensing = 0.0,
    ) {
    }

    /** As usual for so many circuits. */
    public static function usual(int $circuits): self
    {
        return new self(max(1, (int) ceil($circuits / 4)));
    }

    /** @param  list<array{int, int}>  $busy */
    public function keepingFree(array $busy): self
    {
        return $this->but(busy: $busy);
    }

    /** The same where the head must stay so warm for hot gas. @param  float  $condensing  K */
    public function holding(float $condensing): self
    {
        return $this->but(leastCondensing: $condensing);
    }
}
