<?php

declare(strict_types=1);

namespace Metrum\Work\Charging;

use Metrum\Findings\DerivedFigure;
use Metrum\Knowledge\Reading;
use Metrum\Work\FigureForecast;
use Metrum\Work\Forecast;

/** What an addition would do, by all charges that are likely to be in. */
final readonly class ChargeForecast
{
    /** K by which a figure is off at least, and share of a change that the twin is off by. */
    private const BLUR = 0.4;

    private const UNSURE = 0.35;

    /** The blur of a level that somebody finds, as a share of the receiver. */
    private const BLUR_OF_LEVEL = 0.04;

    public function __construct(private Charging $charging)
    {
    }

    /**
     * @param  list<DerivedFigure>  $figures
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

        $level = $all === [] ? null : $this->level($value);

        return $all === [] ? null : new Forecast($level === null ? $all : [...$all, $level]);
    }

    /** The level of the receiver, where it was read; null where it was not. */
    private function level(float $value): ?FigureForecast
    {
        $before = $this->charging->log->last()?->level;
        $model = $this->charging->model();

        return $before === null || $model?->hasReceiver !== true
            ? null
            : $this->foretold(Reading::ReceiverLevel, $before, $value, self::BLUR_OF_LEVEL);
    }

    /** What an addition would do to a figure, by all charges that are likely; null where that is not known. */
    private function foretold(
        DerivedFigure|Reading $figure,
        float $before,
        float $value,
        float $blur = self::BLUR,
    ): ?FigureForecast {
        $model = $this->charging->model();
        $estimate = $this->charging->estimate();
        if ($model === null || $estimate === null) {
            return null;
        }
        $mean = $square = 0.0;
        foreach ($estimate->chances as [$share, $chance]) {
            $now = $share * $model->right;
            $is = self::at($model, $figure, $now);
            $above = $model->aboveSeal($now, $estimate->size);
            $then = self::at($model, $figure, $model->charge($above + $value, $estimate->size));
            if ($is === null || $then === null) {
                return null;
            }
            $mean += $chance * ($then - $is);
            $square += $chance * ($then - $is) ** 2;
        }
        $deviation = sqrt(max(0.0, $square - $mean ** 2) + (self::UNSURE * $mean) ** 2 + $blur ** 2);

        return new FigureForecast($figure, $before, $mean, $deviation);
    }

    private static function at(ChargeModel $model, DerivedFigure|Reading $figure, float $charge): ?float
    {
        return $figure instanceof DerivedFigure ? $model->figure($figure, $charge) : $model->level($charge);
    }
}
