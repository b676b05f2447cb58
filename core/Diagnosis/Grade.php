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
     * @param  float  $lost  share of the capacity, below 0 where there is more
     * @param  float  $head  K of condensing above the sound plant's
     */
    public static function ofEffect(float $lost, float $head): self
    {
        $effect = max($lost, $head / self::HEAD);

        return match (true) {
            $effect >= self::SEVERE => self::Severe,
            $effect >= self::MODERATE => self::Moderate,
            default => self::Mild,
        };
    }
}
