<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRules;

/** How much a twin with a fault in it reads like the plant. */
final readonly class Likeness
{
    /** Figures by which a fault's severity is found. */
    private const COMPARED = [
        DerivedFigure::EvaporatorTd,
        DerivedFigure::EvaporatorSuperheat,
        DerivedFigure::CompressorSuperheat,
        DerivedFigure::Subcooling,
        DerivedFigure::CondenserSplit,
        DerivedFigure::DrierDrop,
        DerivedFigure::SuctionLineGain,
    ];

    /** Severities that are tried. */
    private const LEAST = 0.2;

    private const MOST = 0.95;

    private const STEP = 0.15;

    /** K² of one figure that count at most: one far off says that the model is not right, not that it be followed. */
    private const FARTHEST = 100.0;

    /** Added where the plant would stand still. */
    private const STOPPED = 1e3;

    /** @param  Findings  $findings  readings as they were taken */
    public function __construct(
        private Twin $twin,
        private Surroundings $around,
        private Findings $findings,
        private HouseRules $rules,
    ) {
    }

    /**
     * The severity of a fault at which the twin reads most like the plant, with its state there: the likeness falls
     * off to both sides of it, so that half of what is left is left out each time.
     *
     * @return array{float, PlantState}
     */
    public function closest(Fault $fault): array
    {
        $measured = Figures::of($this->findings, $this->rules);
        $severities = range(self::LEAST, self::MOST, self::STEP);
        $tried = [];
        $miss = function (int $place) use (&$tried, $severities, $fault, $measured): float {
            if (! isset($tried[$place])) {
                $state = $this->twin->withFault($fault, $severities[$place], $this->around);
                $tried[$place] = [$this->miss($measured, $state), $state];
            }

            return $tried[$place][0];
        };
        [$low, $high] = [0, count($severities) - 1];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            [$low, $high] = $miss($middle) <= $miss($middle + 1) ? [$low, $middle] : [$middle + 1, $high];
        }

        $miss($low);

        return [$severities[$low], $tried[$low][1]];
    }

    /** K² by which the figures differ; the same readings are taken from both. */
    private function miss(Figures $measured, PlantState $state): float
    {
        $readings = array_intersect_key($state->readings, $this->findings->readings);
        $model = Figures::of(new Findings($this->findings->circuit, readings: $readings), $this->rules);
        $miss = $state->runs() ? 0.0 : self::STOPPED;
        foreach (self::COMPARED as $key) {
            $a = $measured->value($key);
            $b = $model->value($key);
            $miss += $a === null || $b === null ? 0.0 : min(self::FARTHEST, ($a - $b) ** 2);
        }

        return $miss;
    }
}
