<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Plant\Dice;

/**
 * Fits a sum of curves: scores by fault are added up column by column, probabilities are their softmax.
 *
 * What is made least is the mean logarithmic loss, with every column drawn back to where the trade put it and
 * neighbours on a curve drawn to each other. Steps by Adam (Kingma and Ba 2015) over small batches, rates falling to
 * nothing; the same lessons and seed give the same curves.
 */
final class Fit
{
    private const EPOCHS = 24;

    private const BATCH = 256;

    private const RATE = 0.03;

    /** Decay of the means of slope and squared slope. */
    private const MOMENTUM = 0.9;

    private const SCALING = 0.99;

    /** @var list<list<float>> by column and fault */
    public array $weights;

    /** @var list<float> by fault */
    public array $bias;

    /**
     * @param  list<list<float>>  $prior  by column and fault: where each column is drawn back to
     * @param  list<float>  $bias
     * @param  list<list<int>>  $curves  columns that follow each other on a curve
     * @param  float  $drawn  how strongly a column is drawn back, in cases
     * @param  float  $joined  how strongly neighbours are, in cases
     */
    public function __construct(
        private readonly array $prior,
        array $bias,
        private readonly array $curves,
        private readonly float $drawn,
        private readonly float $joined,
    ) {
        $this->weights = $prior;
        $this->bias = $bias;
    }

    /**
     * @param  list<Lesson>  $lessons
     * @param  callable(int, float): void  $told  after each round through all: how far, 0 … 100 %, and the loss
     */
    public function to(array $lessons, int $seed, callable $told): void
    {
        $count = count($lessons);
        $faults = count($this->bias);
        $nothing = array_fill(0, $faults, 0.0);
        $means = $squares = array_fill(0, count($this->prior), $nothing);
        $biasMeans = $biasSquares = $nothing;
        $dice = new Dice($seed);
        $steps = (int) ceil($count / self::BATCH) * self::EPOCHS;
        $step = 0;
        for ($epoch = 0; $epoch < self::EPOCHS; $epoch++) {
            $order = $dice->shuffled(range(0, $count - 1));
            $loss = 0.0;
            foreach (array_chunk($order, self::BATCH) as $batch) {
                $slopes = array_fill(0, count($this->prior), $nothing);
                $biasSlopes = $nothing;
                foreach ($batch as $i) {
                    $loss += $this->slopes($lessons[$i], $slopes, $biasSlopes, 1 / count($batch));
                }
                $this->draw($slopes, $count);
                $step++;
                $rate = self::RATE * min(1.0, 3 * (1 - $step / $steps) + 0.02);
                foreach ($slopes as $column => $row) {
                    self::adam($this->weights[$column], $row, $means[$column], $squares[$column], $rate, $step);
                }
                self::adam($this->bias, $biasSlopes, $biasMeans, $biasSquares, $rate, $step);
            }
            $told((int) round((100 * ($epoch + 1)) / self::EPOCHS), $loss / $count);
        }
    }

    /**
     * Probability of each fault.
     *
     * @return list<float>
     */
    public function probabilities(Lesson $lesson): array
    {
        $scores = $this->bias;
        foreach ($lesson->columns as $n => $column) {
            $part = $lesson->parts[$n];
            foreach ($this->weights[$column] as $fault => $weight) {
                $scores[$fault] += $part * $weight;
            }
        }
        $top = max($scores);
        $sum = 0.0;
        foreach ($scores as $fault => $score) {
            $scores[$fault] = exp($score - $top);
            $sum += $scores[$fault];
        }
        foreach ($scores as $fault => $score) {
            $scores[$fault] = $score / $sum;
        }

        return $scores;
    }

    /**
     * Adds one lesson's slopes.
     *
     * @param  list<list<float>>  $slopes
     * @param  list<float>  $biasSlopes
     * @return float loss, nats
     */
    private function slopes(Lesson $lesson, array &$slopes, array &$biasSlopes, float $share): float
    {
        $missed = $this->probabilities($lesson);
        $loss = 0.0;
        foreach ($lesson->truth as $fault => $part) {
            $loss -= $part * log(max(1e-9, $missed[$fault]));
            $missed[$fault] -= $part;
        }
        foreach ($missed as $fault => $miss) {
            $missed[$fault] = $miss * $share;
            $biasSlopes[$fault] += $missed[$fault];
        }
        foreach ($lesson->columns as $n => $column) {
            $part = $lesson->parts[$n];
            foreach ($missed as $fault => $miss) {
                $slopes[$column][$fault] += $part * $miss;
            }
        }

        return $loss;
    }

    /**
     * Draws columns back to the trade's, and neighbours to each other.
     *
     * @param  list<list<float>>  $slopes
     */
    private function draw(array &$slopes, int $count): void
    {
        $drawn = $this->drawn / $count;
        foreach ($this->weights as $column => $row) {
            $prior = $this->prior[$column];
            foreach ($row as $fault => $weight) {
                $slopes[$column][$fault] += $drawn * ($weight - $prior[$fault]);
            }
        }
        $joined = $this->joined / $count;
        foreach ($this->curves as $columns) {
            for ($i = 1, $n = count($columns); $i < $n; $i++) {
                [$low, $high] = [$columns[$i - 1], $columns[$i]];
                foreach ($this->weights[$high] as $fault => $weight) {
                    $apart = $joined * ($weight - $this->weights[$low][$fault]);
                    $slopes[$high][$fault] += $apart;
                    $slopes[$low][$fault] -= $apart;
                }
            }
        }
    }

    /**
     * @param  list<float>  $weights
     * @param  list<float>  $slopes
     * @param  list<float>  $means
     * @param  list<float>  $squares
     */
    private static function adam(
        array &$weights,
        array $slopes,
        array &$means,
        array &$squares,
        float $rate,
        int $step,
    ): void {
        $early = 1 - self::MOMENTUM ** $step;
        $scaled = 1 - self::SCALING ** $step;
        foreach ($slopes as $fault => $slope) {
            $mean = $means[$fault] = self::MOMENTUM * $means[$fault] + (1 - self::MOMENTUM) * $slope;
            $square = $squares[$fault] = self::SCALING * $squares[$fault] + (1 - self::SCALING) * $slope * $slope;
            $weights[$fault] -= ($rate * $mean) / $early / (sqrt($square / $scaled) + 1e-7);
        }
    }
}
