<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Unit;

/** Mean, swing and period of a superheat that was read again and again. */
final class Hunting implements Calculation
{
    /** Whole periods that must be seen. */
    private const PERIODS = 2;

    public function asks(): array
    {
        return [
            Input::number('times_s', 'Seconds', QuantityKind::Duration, 0.0, 1e6, Unit::Second)->several(3),
            Input::difference('superheat_k', 'Superheat', -30.0)->several(3),
            Input::difference('target_superheat_k', 'Target superheat'),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $times = $given->series('times_s');
        $superheat = $given->series('superheat_k');
        Series::inStep('times_s', $times, 'superheat_k', $superheat);
        $mean = array_sum($superheat) / count($superheat);
        $swing = max($superheat) - min($superheat);
        $crossings = self::upward($times, $superheat, $mean);
        $periods = count($crossings) - 1;
        $period = $periods < 1 ? null : ($crossings[$periods] - $crossings[0]) / $periods;
        $hunting = $swing > $given->of('target_superheat_k') && $periods >= self::PERIODS;

        return new Answer(
            [
                Output::difference('mean_k', 'Mean', $mean),
                Output::difference('peak_to_peak_k', 'Swing, highest minus lowest', $swing),
                Output::difference('lowest_k', 'Lowest', min($superheat)),
                Output::amount('period_s', 'Period', QuantityKind::Duration, $period, Unit::Second),
                Output::yes('hunting', 'Hunting', $hunting),
            ],
            [
                "Mean {$given->kelvins($mean)}, from {$given->kelvins(min($superheat))} ".
                    "to {$given->kelvins(max($superheat))}: a swing of {$given->kelvins($swing)}.",
                $period === null
                    ? 'Superheat did not cross its mean upward twice: no period.'
                    : "Crosses its mean upward every {$given->number($period, 0)} s, ".
                        "$periods full ".($periods === 1 ? 'period' : 'periods').'.',
                $hunting
                    ? 'The swing is wider than the target superheat and repeats: the valve is hunting.'
                    : 'Not hunting: that needs a swing wider than the target superheat and two full periods.',
            ],
        );
    }

    /**
     * @param  list<float>  $times  s
     * @param  list<float>  $values  K
     * @return list<float> times at which the mean is crossed upward, straight between points
     */
    private static function upward(array $times, array $values, float $mean): array
    {
        $crossings = [];
        for ($i = 1, $n = count($values); $i < $n; $i++) {
            [$before, $after] = [$values[$i - 1] - $mean, $values[$i] - $mean];
            if ($before < 0.0 && $after >= 0.0) {
                $crossings[] = $times[$i - 1] + (($times[$i] - $times[$i - 1]) * -$before) / ($after - $before);
            }
        }

        return $crossings;
    }
}
