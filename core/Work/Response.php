<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Findings\DerivedFigure;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Control;

/**
 * What one unit of a control does to the figure it is made for: a straight line through its settled readings, with the
 * twin's own slope as what was thought before (Bayes, normal).
 */
final readonly class Response
{
    /** Deviation of the twin's slope, as a share of it. */
    private const PRIOR = 0.35;

    /** K that a settled reading is off by, where the line itself cannot tell; at least so much where it can. */
    private const BLUR = 0.4;

    private const LEAST_BLUR = 0.12;

    /** K that the same reading differs by from one time to the next. */
    private const AGAIN = 0.25;

    /** Points from which a line tells how much its points are off. */
    private const TELLS = 4;

    /** @param  int  $pairs  moves that were read settled before and after */
    private function __construct(
        public Control $control,
        public PartId $part,
        public DerivedFigure $figure,
        public float $slope,
        public float $deviation,
        public int $pairs,
        public ?float $forecasts,
    ) {
    }

    /**
     * @param  list<list<array{float, float}>>  $runs  points of position and figure (SI); between two runs something
     *                                                 else was moved, so that each has a level of its own
     * @param  ?float  $forecasts  slope by the twin
     * @return ?self null where there is nothing to learn from
     */
    public static function learned(
        Control $control,
        PartId $part,
        DerivedFigure $figure,
        array $runs,
        ?float $forecasts,
    ): ?self {
        $pairs = $spread = $together = 0;
        foreach ($runs as $points) {
            $pairs += count($points) - 1;
            [$s, $t] = self::sums($points);
            $spread += $s;
            $together += $t;
        }
        if ($pairs < 1 || $spread < 1e-9) {
            return null;
        }
        $least = $together / $spread;
        $blur = self::blur($runs, $least, $pairs);
        $weight = $spread / $blur ** 2;
        $priorWeight = $forecasts === null ? 0.0 : 1 / max(1e-6, self::PRIOR * abs($forecasts)) ** 2;
        $slope = ($weight * $least + $priorWeight * ($forecasts ?? 0.0)) / ($weight + $priorWeight);

        return new self($control, $part, $figure, $slope, 1 / sqrt($weight + $priorWeight), $pairs, $forecasts);
    }

    /** The twin's forecast for the figure, with what was learned in place of its slope. */
    public function foretell(FigureForecast $forecasts, float $value): FigureForecast
    {
        $unsure = $this->control->row()->unsure * $this->slope * $value;
        $own = ($this->deviation * $value) ** 2 + $unsure ** 2 + self::AGAIN ** 2;

        return new FigureForecast($forecasts->figure, $forecasts->before, $this->slope * $value, sqrt($own));
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return array{float, float} spread of the positions, and of both together, about their middle
     */
    private static function sums(array $points): array
    {
        $n = count($points);
        $middle = array_sum(array_column($points, 0)) / $n;
        $level = array_sum(array_column($points, 1)) / $n;
        $spread = $together = 0.0;
        foreach ($points as [$position, $figure]) {
            $spread += ($position - $middle) ** 2;
            $together += ($position - $middle) * ($figure - $level);
        }

        return [$spread, $together];
    }

    /**
     * How much settled readings are off, by how far they lie from the line.
     *
     * @param  list<list<array{float, float}>>  $runs
     */
    private static function blur(array $runs, float $slope, int $pairs): float
    {
        if ($pairs < self::TELLS) {
            return self::BLUR;
        }
        $squares = 0.0;
        foreach ($runs as $points) {
            $n = count($points);
            $middle = array_sum(array_column($points, 0)) / $n;
            $level = array_sum(array_column($points, 1)) / $n;
            foreach ($points as [$position, $figure]) {
                $squares += ($figure - $level - $slope * ($position - $middle)) ** 2;
            }
        }

        return max(self::LEAST_BLUR, sqrt($squares / max(1, $pairs - 1)));
    }
}
