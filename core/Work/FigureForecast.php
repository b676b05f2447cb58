<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Findings\DerivedFigure;
use Metrum\Knowledge\MoveOutcome;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\QuantityKind;

/** What one figure will be after a move, by the twin. */
final readonly class FigureForecast
{
    /** Deviations within which it is as foretold. */
    private const WITHIN = 2.0;

    /** Share of what was foretold below which it is nothing. */
    private const HARDLY = 0.25;

    /** What two readings of a thing that stands still differ by, K, and of a level, as a share. */
    private const NOISE = 0.3;

    private const NOISE_OF_LEVEL = 0.04;

    /** What is foretold below this is as good as nothing, K, and of a level. */
    private const LITTLE = 0.1;

    private const LITTLE_OF_LEVEL = 0.02;

    /**
     * @param  float  $before  SI
     * @param  float  $change  SI
     * @param  float  $deviation  of the change, SI; above 0
     */
    public function __construct(
        public DerivedFigure|Reading $figure,
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
        $isLevel = $this->isLevel();
        if ($size < ($isLevel ? self::LITTLE_OF_LEVEL : self::LITTLE)) {
            return MoveOutcome::AsForetold;
        }
        $along = $this->change < 0.0 ? -$change : $change;

        return match (true) {
            $along < -max($isLevel ? self::NOISE_OF_LEVEL : self::NOISE, self::HARDLY * $size) => MoveOutcome::OtherWay,
            $along < self::HARDLY * $size => MoveOutcome::Nothing,
            $along < $size - self::WITHIN * $this->deviation => MoveOutcome::Less,
            default => MoveOutcome::AsForetold,
        };
    }

    /** Deviations that it is foretold to move by. */
    public function standsOut(): float
    {
        return abs($this->change) / max(1e-9, $this->deviation);
    }

    /** Whether it is foretold to move by more than two readings of one thing differ. */
    public function moves(): bool
    {
        return abs($this->change) >= ($this->isLevel() ? self::NOISE_OF_LEVEL : self::NOISE);
    }

    private function isLevel(): bool
    {
        return $this->figure === Reading::ReceiverLevel;
    }

    /** The kind of quantity that its change and deviation are. */
    public function ofChange(): QuantityKind
    {
        return $this->isLevel() ? QuantityKind::Share : QuantityKind::Difference;
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
