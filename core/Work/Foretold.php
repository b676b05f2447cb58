<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Circuit\MoveOutcome;
use Metrum\Findings\Derived;

/** What one figure will be after a move, by the twin. */
final readonly class Foretold
{
    /** Deviations within which it is as foretold. */
    private const WITHIN = 2.0;

    /** Share of what was foretold below which it is nothing. */
    private const HARDLY = 0.25;

    /** What two readings of a thing that stands still differ by, K. */
    private const NOISE = 0.3;

    /** What is foretold below this is as good as nothing, K. */
    private const LITTLE = 0.1;

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

    /** What a change that was measured (SI) is, beside it. */
    public function outcome(float $change): MoveOutcome
    {
        $size = abs($this->change);
        if ($size < self::LITTLE) {
            return MoveOutcome::AsForetold;
        }
        $along = $this->change < 0.0 ? -$change : $change;

        return match (true) {
            $along < -max(self::NOISE, self::HARDLY * $size) => MoveOutcome::OtherWay,
            $along < self::HARDLY * $size => MoveOutcome::Nothing,
            $along < $size - self::WITHIN * $this->deviation => MoveOutcome::Less,
            default => MoveOutcome::AsForetold,
        };
    }

    /** Whether a change went its way, and beyond two deviations further. */
    public function isExceededBy(float $change): bool
    {
        $along = $this->change < 0.0 ? -$change : $change;

        return $along > abs($this->change) + self::WITHIN * $this->deviation;
    }

    /** @return array{float, float, float} as a log keeps it */
    public function kept(): array
    {
        return [round($this->before, 4), round($this->change, 4), round($this->deviation, 4)];
    }
}
