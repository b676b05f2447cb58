<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\CannotBe;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;

/** Where a pull-down will end, by three points of its curve. */
final class PullDownForecast implements Calculation
{
    /** K by which three points must bend at least. */
    private const STRAIGHT = 1e-6;

    /** Share by which the two spans may differ. */
    private const EVENLY = 0.02;

    public function asks(): array
    {
        return [
            Input::temperature('box_c', 'Box, three readings')->several(3),
            Input::minutes('times_min', 'Minutes, three times')->several(3),
            Input::temperature('target_c', 'Set point'),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        [$first, $second, $third, $step] = self::points($given);
        $bend = $first + $third - 2 * $second;
        if ($bend < self::STRAIGHT) {
            throw CannotBe::at('box_c', 'not levelling off yet: too early to predict; read again later');
        }
        $final = ($first * $third - $second ** 2) / $bend;
        $rate = log(($first - $final) / ($second - $final)) / $step;
        $target = $given->of('target_c');
        $reaches = $final < $target;
        $time = $reaches ? max(0.0, log(($first - $final) / ($target - $final)) / $rate) : null;

        return new Answer(
            [
                Output::temperature('final_c', 'Levels off at', $final),
                Output::amount('time_constant_min', 'Time constant', QuantityKind::Duration, 1 / $rate),
                Output::yes('reaches_target', 'Reaches set point', $reaches),
                Output::amount(
                    'time_to_target_min',
                    'Set point after (from first reading)',
                    QuantityKind::Duration,
                    $time,
                ),
            ],
            [
                "Levels off at {$given->degrees($final)}.",
                "63 % of the way in {$given->text(1 / $rate, QuantityKind::Duration)}.",
                $time === null
                    ? "Will not reach {$given->degrees($target)}."
                    : "Reaches {$given->degrees($target)} after {$given->text($time, QuantityKind::Duration)}, ".
                        'from the first reading.',
            ],
        );
    }

    /**
     * @return array{float, float, float, float} K, K, K, and s between two
     *
     * @throws CannotBe
     */
    private static function points(Inputs $given): array
    {
        $box = $given->series('box_c');
        $times = $given->series('times_min');
        if (count($box) !== 3 || count($times) !== 3) {
            throw CannotBe::at(count($box) === 3 ? 'times_min' : 'box_c', 'enter three values');
        }
        $step = $times[1] - $times[0];
        if ($step <= 0.0 || abs($times[2] - $times[1] - $step) > self::EVENLY * $step) {
            throw CannotBe::at('times_min', 'not evenly spaced; enter three times at equal intervals');
        }
        if ($box[0] <= $box[1] || $box[1] <= $box[2]) {
            throw CannotBe::at('box_c', 'must drop from reading to reading');
        }

        return [$box[0], $box[1], $box[2], $step];
    }
}
