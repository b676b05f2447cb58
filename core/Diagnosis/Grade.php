<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

/** How much a fault costs: of the capacity, or of head that is too high. */
enum Grade: string
{
    case Mild = 'mild';
    case Moderate = 'moderate';
    case Severe = 'severe';

    /** Share of the effect from which it is more than mild, and severe. */
    private const MODERATE = 0.1;

    private const SEVERE = 0.25;

    /** K of head too high that cost as much as a whole plant's capacity. */
    private const HEAD = 50.0;

    /** In words that a sentence can begin with. */
    public function label(): string
    {
        return match ($this) {
            self::Mild => 'slight',
            self::Moderate => 'moderate',
            self::Severe => 'severe',
        };
    }

    /**
     * What a fault costs, as a share of the capacity.
     *
     * @param  float  $lost  share of the capacity, below 0 where there is more
     * @param  float  $head  K of condensing above the sound plant's
     */
    public static function effect(float $lost, float $head): float
    {
        return max($lost, $head / self::HEAD);
    }

    /** @param  float  $effect  share of the capacity */
    public static function ofEffect(float $effect): self
    {
        return match (true) {
            $effect >= self::SEVERE => self::Severe,
            $effect >= self::MODERATE => self::Moderate,
            default => self::Mild,
        };
    }

    /** Share of the capacity from which it is so. */
    public function least(): float
    {
        return match ($this) {
            self::Mild => 0.0,
            self::Moderate => self::MODERATE,
            self::Severe => self::SEVERE,
        };
    }
}
