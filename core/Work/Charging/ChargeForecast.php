<?php

declare(strict_types=1);

namespace Metrum\Work\Charging;

use Metrum\Findings\Derived;
use Metrum\Work\Forecast;
use Metrum\Work\Foretold;

/** What an addition would do, by all charges that are likely to be in. */
final readonly class ChargeForecast
{
    /** K by which a figure is off at least, and share of a change that the twin is off by. */
    private const BLUR = 0.4;

    private const UNSURE = 0.35;

    public function __construct(private Charging $charging)
    {
    }

    /**
     * @param  list<Derived>  $figures
     * @return ?Forecast null where nothing can be foretold
     */
    public function of(array $figures, float $value): ?Forecast
    {
        $all = [];
        foreach ($figures as $figure) {
            $before = $this->charging->log->last()?->figures->value($figure);
            $one = $before === null ? null : $this->foretold($figure, $before, $value);
            if ($one !== null) {
                $all[] = $one;
            }
        }

        return $all === [] ? null : new Forecast($all);
    }

    /** What an addition would do to a figure, by all charges that are likely; null where that is not known. */
    private function foretold(Derived $figure, float $before, float $value): ?Foretold
    {
        $model = $this->charging->model();
        $estimate = $this->charging->estimate();
        if ($model === null || $estimate === null) {
            return null;
        }
        $mean = $square = 0.0;
        foreach ($estimate->chances as [$share, $chance]) {
            $now = $share * $model->right;
            $is = $model->figure($figure, $now);
            $above = $model->aboveSeal($now, $estimate->size);
            $then = $model->figure($figure, $model->charge($above + $value, $estimate->size));
            if ($is === null || $then === null) {
                return null;
            }
            $mean += $chance * ($then - $is);
            $square += $chance * ($then - $is) ** 2;
        }
        $deviation = sqrt(max(0.0, $square - $mean ** 2) + (self::UNSURE * $mean) ** 2 + self::BLUR ** 2);

        return new Foretold($figure, $before, $mean, $deviation);
    }
}
