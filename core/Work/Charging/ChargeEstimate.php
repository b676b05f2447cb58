<?php

declare(strict_types=1);

namespace Metrum\Work\Charging;

use Metrum\Findings\DerivedFigure;
use Metrum\Knowledge\Word;

/**
 * How much refrigerant a plant lacks, by all that was read since charging began (Bayes on a grid).
 *
 * Two things are not known: the charge as found, as a share of the right one, and how large the plant is against its
 * twin, so that a kilogram means as much there as so many here. Each row speaks for the charges at which the twin would
 * show the same. The plant's own offsets repeat from row to row, so that earlier rows count less than the last one.
 */
final readonly class ChargeEstimate
{
    /** Places of the grid: charges as found, and sizes. */
    private const CHARGES = 90;

    private const SIZES = 9;

    /** Charges at which each row is held against the twin. */
    private const HELD = 200;

    /** Deviations to which sizes are asked. */
    private const WIDE = 2.0;

    /** How much an earlier row counts beside the last. */
    private const EARLIER = 0.35;

    /** Deviation of a level that somebody found (share of the receiver). */
    private const LEVEL = 0.06;

    /** Share of a figure's distance from health by which the twin's size of it is off. */
    private const OFF = 0.15;

    /** Of a row at a charge at which the twin does not run. */
    private const OUTSIDE = -8.0;

    /** K of subcooling below which only the seal counts. */
    private const NONE = 0.6;

    /**
     * @param  float  $missing  kg to what is right; below 0: too much
     * @param  float  $deviation  of that, kg
     * @param  float  $size  kg of the plant for one of the twin
     * @param  list<array{float, float}>  $chances  charge now, as a share of the right one, and how likely; rising
     */
    private function __construct(
        public float $missing,
        public float $deviation,
        public float $size,
        public array $chances,
        public float $right,
    ) {
    }

    /**
     * @param  float  $unsure  deviation of the plant's size against the twin's, logarithm
     * @param  WeighedCharge  $weighed  what is in by weights when the last row was read
     * @return ?self null where no row tells of it
     */
    public static function of(ChargeLog $log, ChargeModel $model, float $unsure, WeighedCharge $weighed): ?self
    {
        $rows = $log->rows;
        $now = $log->last();
        if ($now === null) {
            return null;
        }
        $least = $model->charges[0];
        $most = $model->charges[array_key_last($model->charges)];
        // Before anything is read liquid may be missing as well as not: a large receiver makes neither likelier.
        $sealed = $model->hasReceiver ? max($least + 1e-6, min($most - 1e-6, $model->sealed)) : $most + 1.0;
        $says = array_map(static fn (ChargeRow $row): array => self::said($row, $row === $now, $model), $rows);
        $steps = ($most - $least) / (self::HELD - 1);
        $weights = $shares = [];
        $highest = -INF;
        for ($s = 0; $s < self::SIZES; $s++) {
            $z = self::WIDE * ((2 * $s) / (self::SIZES - 1) - 1);
            $size = exp($unsure * $z);
            for ($c = 0; $c < self::CHARGES; $c++) {
                $charge = $least + (($most - $least) * $c) / (self::CHARGES - 1);
                $weight = -($z ** 2) / 2 - log($charge < $sealed ? $sealed - $least : $most - $sealed);
                $weight += $weighed->speaks($model->aboveSeal($charge, $size) + $size * $model->sealed);
                foreach ($rows as $number => $row) {
                    $above = $model->aboveSeal($charge, $size) + $row->added - $now->added;
                    $there = ($model->charge($above, $size) - $least) / $steps;
                    $weight += $there < 0.0 || $there > self::HELD - 1
                        ? self::OUTSIDE
                        : $says[$number][(int) round($there)];
                }
                $weights[] = $weight;
                $shares[] = [$charge, $size];
                $highest = max($highest, $weight);
            }
        }

        return self::told($weights, $shares, $highest, $model);
    }

    /**
     * @param  list<float>  $weights  logarithms
     * @param  list<array{float, float}>  $places  kg of the twin, and size
     */
    private static function told(array $weights, array $places, float $highest, ChargeModel $model): self
    {
        $sum = $mean = $square = $size = 0.0;
        $chances = [];
        foreach ($weights as $i => $weight) {
            $chance = exp($weight - $highest);
            [$charge, $large] = $places[$i];
            $missing = $model->aboveSeal($model->right, $large) - $model->aboveSeal($charge, $large);
            $sum += $chance;
            $mean += $chance * $missing;
            $square += $chance * $missing ** 2;
            $size += $chance * $large;
            $share = (string) round($charge / $model->right, 4);
            $chances[$share] = ($chances[$share] ?? 0.0) + $chance;
        }
        $mean /= $sum;
        $size /= $sum;
        $all = [];
        foreach ($chances as $share => $chance) {
            $all[] = [(float) $share, $chance / $sum];
        }

        $right = $model->aboveSeal($model->right, $size) + $size * $model->sealed;

        return new self($mean, sqrt(max(0.0, $square / $sum - $mean ** 2)), $size, $all, $right);
    }

    /** @return list<float> what a row says of each of the charges at which it is held against the twin */
    private static function said(ChargeRow $row, bool $isLast, ChargeModel $model): array
    {
        $least = $model->charges[0];
        $most = $model->charges[array_key_last($model->charges)];
        $says = [];
        for ($place = 0; $place < self::HELD; $place++) {
            $charge = $least + (($most - $least) * $place) / (self::HELD - 1);
            $says[] = self::speaks($row, $isLast ? 1.0 : self::EARLIER, $model, $charge);
        }

        return $says;
    }

    /**
     * How well a row fits a charge: the logarithm of how likely it would be there.
     *
     * @param  float  $counts  how much it counts where the plant's own offset repeats from row to row; whether liquid
     *                         or gas leaves the receiver does not, so that subcooling, glass and level count whole
     */
    private static function speaks(ChargeRow $row, float $counts, ChargeModel $model, float $charge): float
    {
        $says = 0.0;
        foreach (array_keys(ChargeModel::TELLING) as $key) {
            $figure = DerivedFigure::from($key);
            $read = $row->figures->value($figure);
            $there = $model->figure($figure, $charge);
            if ($read === null || $there === null) {
                continue;
            }
            $off = $read - $there;
            if ($figure === DerivedFigure::Subcooling && $read < self::NONE && $there < self::NONE) {
                $off = 0.0;
            }
            $health = $model->figure($figure, $model->right) ?? $there;
            $width = hypot($model->deviation($figure, $there, $read), self::OFF * ($there - $health));
            $whole = $figure === DerivedFigure::Subcooling && $model->hasReceiver;
            $says -= (($whole ? 1.0 : $counts) * ($off / $width) ** 2) / 2;
        }
        if ($row->level !== null) {
            $says -= (($row->level - $model->level($charge)) / self::LEVEL) ** 2 / 2;
        }
        if (in_array($row->glass, [Word::Clear, Word::Bubbles], true)) {
            $says += log($model->glass($row->glass, $charge));
        }

        return $says;
    }

    /** kg that are in by it. */
    public function in(): float
    {
        return $this->right - $this->missing;
    }

    /** Chance that the charge lies below a share of the right one. */
    public function below(float $share): float
    {
        $chance = 0.0;
        foreach ($this->chances as [$at, $likely]) {
            $chance += $at < $share ? $likely : 0.0;
        }

        return $chance;
    }

    /** Charge, as a share of the right one, above which only so large a chance lies. */
    public function highest(float $chance): float
    {
        $left = $chance;
        foreach (array_reverse($this->chances) as [$at, $likely]) {
            $left -= $likely;
            if ($left <= 0.0) {
                return $at;
            }
        }

        return $this->chances[0][0] ?? 1.0;
    }
}
