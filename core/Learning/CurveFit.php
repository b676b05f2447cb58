<?php

declare(strict_types=1);

namespace Metrum\Learning;

/**
 * Fits a sum of curves: scores by fault are added up column by column, probabilities are their softmax.
 *
 * Boosting by components (Bühlmann and Hothorn 2007): in every round each fault takes the curves that would lessen the
 * loss most and goes a part of Newton's step along all their knots, held back where few visits tell. It starts from
 * the trade's own curves, so that what is never chosen keeps them. What is held of each fault beforehand is given and
 * not fitted: else where little was found it would stand for what is found where nothing can be. The same lessons give
 * the same curves.
 */
final class CurveFit
{
    private const STEP = 0.2;

    /** Curves that a fault takes in a round. */
    private const AT_ONCE = 3;

    /** Visits' worth of curvature added to every knot: what few have shown moves it little. */
    private const HELD_BACK = 3.0;

    /** Probability missed below which a lesson teaches a fault nothing. */
    private const TAUGHT = 1e-3;

    /** Rounds after which weights are kept to what is known of them, so that others can make up for it. */
    private const KEPT = 5;

    /** Rounds after which curvature is reckoned anew. */
    private const CURVATURE = 5;

    /** @var array<int, array<int, float>> by column and fault */
    public array $weights;

    /** @var array<int, float> by fault */
    public array $bias;

    public readonly Families $families;

    /** @var array<int, array<int, float>> by lesson and fault */
    private array $scores = [];

    /** @var array<int, float> curvature by column and fault, one behind the other */
    private array $curvature = [];

    /**
     * @param  array<int, array<int, float>>  $prior  by column and fault
     * @param  array<int, float>  $bias  what is held of each fault beforehand, nats
     * @param  list<list<int>>  $features  columns that belong together
     * @param  array<string, list<int>>  $families  columns that keep their shape, and only count more or less
     */
    public function __construct(
        array $prior,
        array $bias,
        private readonly array $features,
        array $families = [],
    ) {
        $this->weights = $prior;
        $this->bias = $bias;
        $this->families = new Families($prior, $families);
    }

    /**
     * @param  list<Lesson>  $lessons
     * @param  callable(int, float): void  $told  after each round: how far, 0 … 100 %, and the loss
     * @param  ?callable(array<int, array<int, float>>): array<int, array<int, float>>  $kept  what the weights are kept
     *                                                                                         to now and then, and in
     *                                                                                         the end
     */
    public function to(array $lessons, int $rounds, callable $told, ?callable $kept = null): void
    {
        $this->scores = array_map($this->score(...), $lessons);
        for ($round = 0; $round < $rounds; $round++) {
            [$slopes, $loss] = $this->slopes($lessons, $round % self::CURVATURE === 0);
            $steps = $this->steps($slopes) + $this->families->steps($slopes, $this->curvature, self::HELD_BACK);
            $this->step($lessons, $steps);
            if ($kept !== null && ($round % self::KEPT === self::KEPT - 1 || $round === $rounds - 1)) {
                $this->weights = $kept($this->weights);
                $this->scores = array_map($this->score(...), $lessons);
            }
            $told((int) round((100 * ($round + 1)) / $rounds), $loss);
        }
        $this->scores = $this->curvature = [];
    }

    /**
     * All curves made steeper, so that what is claimed is what is so: what fitting held back, and visits with two
     * truths, leave it less sure than it may be.
     */
    public function sharpened(float $times): void
    {
        $steeper = static fn (float $one): float => $times * $one;
        $this->bias = array_map($steeper, $this->bias);
        $this->families->sharpened($times);
        foreach ($this->weights as $column => $row) {
            $this->weights[$column] = array_map($steeper, $row);
        }
    }

    /**
     * Probability of each fault, of curves so many times as steep.
     *
     * @return array<int, float>
     */
    public function probabilities(Lesson $lesson, float $times = 1.0): array
    {
        return self::softmax(
            array_map(static fn (float $one): float => $times * $one, $this->score($lesson)),
        );
    }

    /** @return array<int, float> */
    private function score(Lesson $lesson): array
    {
        $scores = $this->bias;
        foreach ($lesson->given as $place => $nats) {
            $scores[$place] += $nats;
        }
        foreach ($lesson->closed as $place) {
            $scores[$place] = -INF;
        }
        foreach ($lesson->columns as $n => $column) {
            $part = $lesson->parts[$n];
            foreach ($this->weights[$column] as $place => $weight) {
                $scores[$place] += $part * $weight;
            }
        }

        return $scores;
    }

    /**
     * @param  array<int, float>  $scores
     * @return array<int, float>
     */
    private static function softmax(array $scores): array
    {
        $top = $scores === [] ? 0.0 : max($scores);
        $sum = 0.0;
        foreach ($scores as $place => $score) {
            $scores[$place] = exp($score - $top);
            $sum += $scores[$place];
        }
        foreach ($scores as $place => $score) {
            $scores[$place] = $score / $sum;
        }

        return $scores;
    }

    /**
     * @param  list<Lesson>  $lessons
     * @param  bool  $curved  whether curvature is reckoned anew
     * @return array{array<int, float>, float} slopes by column and fault, and the mean loss
     */
    private function slopes(array $lessons, bool $curved): array
    {
        $faults = count($this->bias);
        $slopes = array_fill(0, count($this->weights) * $faults, 0.0);
        if ($curved) {
            $this->curvature = array_fill(0, count($slopes), self::HELD_BACK);
        }
        $loss = 0.0;
        foreach ($lessons as $i => $lesson) {
            $missed = self::softmax($this->scores[$i]);
            $curves = [];
            foreach ($missed as $place => $probability) {
                $curves[$place] = $probability * (1 - $probability);
            }
            foreach ($lesson->truth as $place => $share) {
                $loss -= $share * log(max(1e-9, $missed[$place]));
                $missed[$place] -= $share;
            }
            foreach ($missed as $place => $miss) {
                if (abs($miss) < self::TAUGHT) {
                    unset($missed[$place]);
                }
            }
            foreach ($lesson->columns as $n => $column) {
                $part = $lesson->parts[$n];
                $at = $column * $faults;
                foreach ($missed as $place => $miss) {
                    $slopes[$at + $place] += $part * $miss;
                }
                if ($curved) {
                    $squared = $part * $part;
                    foreach ($missed as $place => $miss) {
                        $this->curvature[$at + $place] += $squared * $curves[$place];
                    }
                }
            }
        }

        return [$slopes, $loss / count($lessons)];
    }

    /**
     * The best curves of each fault, and how far their knots go.
     *
     * @param  array<int, float>  $slopes
     * @return array<int, array<int, float>> by column and fault
     */
    private function steps(array $slopes): array
    {
        $faults = count($this->bias);
        $steps = [];
        for ($place = 0; $place < $faults; $place++) {
            $gains = [];
            foreach ($this->features as $feature => $columns) {
                $gain = 0.0;
                foreach ($columns as $column) {
                    $at = $column * $faults + $place;
                    $gain += ($slopes[$at] * $slopes[$at]) / $this->curvature[$at];
                }
                $gains[$feature] = $gain;
            }
            arsort($gains);
            foreach (array_slice(array_keys($gains), 0, self::AT_ONCE) as $feature) {
                foreach ($this->features[$feature] as $column) {
                    $at = $column * $faults + $place;
                    $steps[$column][$place] = (-self::STEP * $slopes[$at]) / $this->curvature[$at];
                }
            }
        }

        return $steps;
    }

    /**
     * @param  list<Lesson>  $lessons
     * @param  array<int, array<int, float>>  $steps
     */
    private function step(array $lessons, array $steps): void
    {
        foreach ($steps as $column => $row) {
            foreach ($row as $place => $step) {
                $this->weights[$column][$place] += $step;
            }
        }
        foreach ($lessons as $i => $lesson) {
            $scores = $this->scores[$i];
            foreach ($lesson->columns as $n => $column) {
                if (isset($steps[$column])) {
                    $part = $lesson->parts[$n];
                    foreach ($steps[$column] as $place => $step) {
                        $scores[$place] += $part * $step;
                    }
                }
            }
            $this->scores[$i] = $scores;
        }
    }
}
