<?php

declare(strict_types=1);

namespace Metrum\Plant;

use Metrum\Circuit\Fault;
use Metrum\Circuit\HouseRules;
use Metrum\Findings\Derived;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;

/** How much a twin with a fault in it reads like the plant. */
final readonly class Likeness
{
    /** Figures by which a fault's severity is found. */
    private const COMPARED = [
        Derived::EvaporatorTd,
        Derived::EvaporatorSuperheat,
        Derived::CompressorSuperheat,
        Derived::Subcooling,
        Derived::CondenserSplit,
        Derived::DrierDrop,
        Derived::SuctionLineGain,
    ];

    /** Severities that are tried. */
    private const LEAST = 0.2;

    private const MOST = 0.95;

    private const STEP = 0.15;

    /** Severity where none reads like it. */
    private const USUAL = 0.6;

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
     * The severity of a fault at which the twin reads most like the plant, with its state there.
     *
     * @return array{float, PlantState}
     */
    public function closest(Fault $fault): array
    {
        $measured = Figures::of($this->findings, $this->rules);
        $least = INF;
        $closest = [self::USUAL, $this->twin->at($this->around)];
        foreach (range(self::LEAST, self::MOST, self::STEP) as $severity) {
            $state = $this->twin->withFault($fault, $severity, $this->around);
            $miss = $this->miss($measured, $state);
            if ($miss < $least) {
                $least = $miss;
                $closest = [$severity, $state];
            }
        }

        return $closest;
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
