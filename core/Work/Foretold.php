<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Findings\Derived;

/** What one figure will be after a move, by the twin. */
final readonly class Foretold
{
    /**
     * @param  float  $before  SI
     * @param  float  $change  SI
     * @param  float  $deviation  of the change, SI; above 0
     */
    public function __construct(
        public Derived $figure,
        public float $before,
        public float $change,
        public float $deviation,
    ) {
    }

    public function after(): float
    {
        return $this->before + $this->change;
    }

    /** Whether a change went its way, and beyond two deviations further. */
    public function isExceededBy(float $change): bool
    {
        $along = $this->change < 0.0 ? -$change : $change;

        return $along > abs($this->change) + 2 * $this->deviation;
    }

    /** @return array{float, float, float} as a log keeps it */
    public function kept(): array
    {
        return [round($this->before, 4), round($this->change, 4), round($this->deviation, 4)];
    }
}
