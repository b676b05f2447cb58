<?php

declare(strict_types=1);

namespace Metrum\Card\Sums;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Unit;

/** A vacuum that is left alone: it holds, levels off (moisture) or keeps rising (a leak). */
final class VacuumHold implements Calculation
{
    /** Share of the first half's rise that the second half still has where something leaks. */
    private const STILL = 0.6;

    /** Pa a minute below which nothing rises. */
    private const HARDLY = 2.0;

    public function asks(): array
    {
        return [
            Input::number('times_s', 'Time', QuantityKind::Duration, 0.0, 1e6, Unit::Second)->several(3),
            Input::number('pressures_kpa', 'Pressure', QuantityKind::AbsolutePressure, 0.0, 110.0)->several(3),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $times = $given->series('times_s');
        $pressures = $given->series('pressures_kpa');
        $last = count($times) - 1;
        $middle = intdiv($last, 2);
        $early = self::rate($times, $pressures, 0, $middle);
        $late = self::rate($times, $pressures, $middle, $last);
        $rising = $late > self::HARDLY && $late > self::STILL * $early;

        return new Answer(
            [
                Output::amount('first_kpa', 'At start', QuantityKind::AbsolutePressure, $pressures[0]),
                Output::amount('last_kpa', 'At end', QuantityKind::AbsolutePressure, $pressures[$last]),
                Output::amount('minutes_s', 'Held for', QuantityKind::Duration, $times[$last] - $times[0]),
                Output::yes('keeps_rising', 'Keeps rising', $rising),
            ],
            [
                sprintf('%.0f Pa per minute in the first half, %.0f in the second.', $early, $late),
                $rising ? 'Keeps rising: a leak.' : 'Levels off or holds.',
            ],
        );
    }

    /**
     * Pa a minute.
     *
     * @param  list<float>  $times
     * @param  list<float>  $pressures
     */
    private static function rate(array $times, array $pressures, int $from, int $to): float
    {
        return (60 * ($pressures[$to] - $pressures[$from])) / max(1.0, $times[$to] - $times[$from]);
    }
}
