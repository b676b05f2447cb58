<?php

declare(strict_types=1);

namespace Metrum\Work\Record;

/**
 * A straight line through the visits since the last move that could bend it.
 *
 * distance = a + b × time + c × (ambient − its mean) + h × doubt. What the twin leaves of the weather goes with the
 * ambient, by little, and with its own doubt in that weather (its deviation there beyond the least of all visits: a
 * head set lower than it takes it to be shows where the head is held, and nowhere else). c is normal about none with
 * the deviation over systems in data/history.json, h about none with one: without them seasons would look like wear
 * where visits begin in winter. A visit in whose weather the twin is in doubt counts for less: a head that is held
 * hides dirt.
 *
 * Weighted least squares with these priors (ridge regression); the scatter about the line is what is left over, drawn
 * to the scatter known beforehand as by so many readings (scaled inverse chi-squared prior).
 */
final readonly class Drift
{
    /** s of a month, as a slope is told. */
    public const MONTH = DriftRule::YEAR / 12.0;

    /** Scatters of doubt at which a visit counts for half. */
    private const DOUBTED = 1.5;

    /**
     * @param  float  $perSecond  SI a second
     * @param  float  $deviation  of that
     * @param  float  $from  s since 1970 of the first visit in it, and of the last
     * @param  float  $begin  SI on the line then, and at the last, at the mean of their weather
     */
    private function __construct(
        private HistoryFigureRow $row,
        public float $perSecond,
        public float $deviation,
        public float $from,
        public float $to,
        public float $begin,
        public float $end,
    ) {
    }

    /**
     * Null where there are too few, or too near in time.
     *
     * @param  list<HistoryDot>  $dots  in order of time
     * @param  int  $leftOut  of those that there are
     */
    public static function through(array $dots, HistoryFigureRow $row, int $leftOut = 0): ?self
    {
        $rule = DriftRule::inForce();
        $count = count($dots);
        if ($count < max(3, $rule->points - $leftOut) || $dots[$count - 1]->at - $dots[0]->at < $rule->days) {
            return null;
        }
        $times = self::mean(array_map(static fn (HistoryDot $one): float => $one->at, $dots));
        $ambient = self::mean(array_filter(
            array_map(static fn (HistoryDot $one): ?float => $one->ambient, $dots),
            static fn (?float $one): bool => $one !== null,
        ));
        $doubts = self::doubts($dots);
        $fit = new RidgeFit([0.0, 0.0, ($row->scatter / $row->withWeather) ** 2, $row->scatter ** 2]);
        foreach ($dots as $place => $one) {
            $fit->add(
                [
                    1.0,
                    ($one->at - $times) / DriftRule::YEAR,
                    $one->ambient === null ? 0.0 : $one->ambient - $ambient,
                    $doubts[$place],
                ],
                $one->distance,
                1.0 / (1.0 + ($doubts[$place] / (self::DOUBTED * $row->scatter)) ** 2),
            );
        }
        [$line, $variances] = $fit->solved();
        $scatter = ($rule->prior * $row->scatter ** 2 + $fit->leftOver($line)) / ($rule->prior + $count - 2);
        [$from, $to] = [$dots[0]->at, $dots[$count - 1]->at];
        $perSecond = $line[1] / DriftRule::YEAR;

        return new self(
            $row,
            $perSecond,
            sqrt($scatter * $variances[1]) / DriftRule::YEAR,
            $from,
            $to,
            $line[0] + $perSecond * ($from - $times),
            $line[0] + $perSecond * ($to - $times),
        );
    }

    /** @param  array<float>  $of */
    private static function mean(array $of): float
    {
        return $of === [] ? 0.0 : array_sum($of) / count($of);
    }

    /**
     * @param  non-empty-list<HistoryDot>  $dots
     * @return list<float> the twin's deviation at each, beyond the least of them
     */
    private static function doubts(array $dots): array
    {
        $deviations = array_map(static fn (HistoryDot $one): float => $one->departure->deviation, $dots);
        $least = min($deviations);

        return array_map(static fn (float $one): float => sqrt(max(0.0, $one ** 2 - $least ** 2)), $deviations);
    }

    /** Deviations by which the slope is none. */
    public function sureness(): float
    {
        return abs($this->perSecond) / $this->deviation;
    }

    /** Whether it is told: sure, for the worse, and soon enough to matter. */
    public function isTold(): bool
    {
        return $this->sureness() >= DriftRule::inForce()->sure &&
            $this->row->worse->is($this->perSecond) &&
            $this->reaches() <= $this->to + DriftRule::inForce()->horizon;
    }

    /** s since 1970 at which its line reaches what asks for something to be done; in the past where it is beyond. */
    public function reaches(): float
    {
        $limit = $this->perSecond > 0.0 ? $this->row->act : -$this->row->act;

        return $this->perSecond === 0.0 ? INF : $this->to + ($limit - $this->end) / $this->perSecond;
    }
}
