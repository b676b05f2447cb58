<?php

declare(strict_types=1);

namespace Metrum\Card\Sums;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Calculators\Series;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Unit;

/**
 * Where a pull-down will end, by three or more readings at any times: the box goes toward an end value with one time
 * constant (where what leaks in meets what is taken out), T = end + a · exp(−t/τ). For each τ end and a follow by least
 * squares; the τ with the least misfit is taken. Where a straight line fits as well, the end cannot be told.
 */
final class PullDownEnd implements Calculation
{
    /** Time constants that are tried, as multiples of the time read, and how many. */
    private const FASTEST = 0.15;

    private const SLOWEST = 12.0;

    private const TRIALS = 80;

    /** Times of the fall seen that the rest of the way may be, to be told. */
    private const FARTHEST = 3.0;

    /** K from the set point at which it has arrived. */
    private const THERE = 0.3;

    /** K by which one reading of a display differs from the next of the same air: half its last digit. */
    private const READ = 0.05;

    public function asks(): array
    {
        return [
            Input::number('times_s', 'Seconds', QuantityKind::Duration, 0.0, 1e6, Unit::Second)->several(3),
            Input::temperature('boxes_c', 'Box')->several(3),
            Input::temperature('target_c', 'Set point'),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $times = $given->series('times_s');
        $boxes = $given->series('boxes_c');
        Series::inStep('times_s', $times, 'boxes_c', $boxes);
        [$end, $constant, $isAtEdge] = self::fitted($times, $boxes);
        $last = $boxes[count($boxes) - 1];
        $over = $times[count($times) - 1] - $times[0];
        $fell = $boxes[0] - $last;
        $target = $given->of('target_c');
        // A bend that lies far below what was seen is guessed, not seen.
        $bends = ! $isAtEdge && $end < $last && $last - $end <= self::FARTHEST * $fell;
        $width = $bends ? self::width($times, $boxes, $end) : null;
        $reaches = $bends && $end < $target - self::THERE;
        $isUnsure = $bends && abs($end - $target + self::THERE) < (float) $width;
        $toGo = $reaches && $last > $target ? $constant * log(($last - $end) / ($target - $end)) : null;
        $straight = $fell > 0.0 && $last > $target ? ($over * ($last - $target)) / $fell : null;

        return new Answer(
            [
                Output::yes('bends', 'Levelling off', $bends),
                Output::temperature('final_c', 'Levels off at', $bends ? $end : null),
                Output::difference('width_k', 'Give or take', $width),
                Output::yes('reaches', 'Will reach set point', $reaches),
                Output::yes('unsure', 'Too close to say', $isUnsure),
                Output::amount(
                    'to_go_s',
                    'Set point after (from last reading)',
                    QuantityKind::Duration,
                    $toGo,
                    Unit::Second,
                ),
                Output::amount(
                    'straight_s',
                    'At constant rate, after',
                    QuantityKind::Duration,
                    $straight,
                    Unit::Second,
                ),
                Output::difference('above_k', 'Above set point', $last - $target),
            ],
            [
                $bends
                    ? "Levels off at {$given->degrees($end)} ± {$given->kelvins((float) $width)}, 63 % of the way in ".
                        "{$given->text($constant, QuantityKind::Duration)}."
                    : 'Not levelling off yet: too early to predict.',
            ],
        );
    }

    /**
     * K by which the end may be off: how far it moves as each reading is off by so much, in squares.
     *
     * @param  non-empty-list<float>  $times
     * @param  non-empty-list<float>  $boxes
     */
    private static function width(array $times, array $boxes, float $end): float
    {
        $squares = 0.0;
        foreach (array_keys($boxes) as $place) {
            $moved = array_map(
                static fn (int $at, float $box): float => $box + ($at === $place ? self::READ : 0.0),
                array_keys($boxes),
                $boxes,
            );
            $squares += (self::fitted($times, $moved)[0] - $end) ** 2;
        }

        return sqrt($squares);
    }

    /**
     * @param  non-empty-list<float>  $times  s
     * @param  non-empty-list<float>  $boxes  K
     * @return array{float, float, bool} end value (K), time constant (s), whether no bend was found
     */
    private static function fitted(array $times, array $boxes): array
    {
        $over = $times[count($times) - 1] - $times[0];
        $best = [INF, 0.0, 0.0, 0];
        for ($i = 0; $i < self::TRIALS; $i++) {
            $constant = $over * self::FASTEST * (self::SLOWEST / self::FASTEST) ** ($i / (self::TRIALS - 1));
            [$end, $misfit] = self::endFor($constant, $times, $boxes);
            if ($misfit < $best[0]) {
                $best = [$misfit, $end, $constant, $i];
            }
        }

        return [$best[1], $best[2], $best[3] === self::TRIALS - 1];
    }

    /**
     * @param  non-empty-list<float>  $times
     * @param  non-empty-list<float>  $boxes
     * @return array{float, float} end value (K), sum of squares left (K²)
     */
    private static function endFor(float $constant, array $times, array $boxes): array
    {
        $falls = array_map(static fn (float $time): float => exp(-($time - $times[0]) / $constant), $times);
        $line = Line::through($falls, $boxes);
        $misfit = 0.0;
        foreach ($falls as $i => $fall) {
            $misfit += ($boxes[$i] - $line->start - $line->slope * $fall) ** 2;
        }

        return [$line->start, $misfit];
    }
}
