<?php

declare(strict_types=1);

namespace Metrum\Learning\Rack;

use Metrum\Diagnosis\Rack\RackSign;
use Metrum\Knowledge\Fault;
use Metrum\Learning\CurveFit;
use Metrum\Learning\Lesson;

/** From drawn racks to the file of curves, with what it reached on racks that were not fitted. */
final class RackCalibration
{
    private const HELD_BACK = 6;

    private const ROUNDS = 90;

    private const UNIT = 0.01;

    /** Racks that tell by what they were drawn. */
    private const DRAWN_AS_PROBES = 3;

    /** Curves that nowhere say more are left out. */
    private const LEAST = 0.04;

    /**
     * @param  list<RackRow>  $rows
     * @param  callable(int, float): void  $told  how far, 0 … 100 %, and the loss
     * @return array{array<string, mixed>, array<string, array{int, float, float, float}>} the file; by part visits,
     *                                                                                      first, within three, loss
     */
    public static function file(array $rows, int $seed, callable $told): array
    {
        $file = ['made' => ['seed' => $seed, 'rows' => count($rows)]];
        $reached = [];
        foreach (['plant' => true, 'circuit' => false] as $name => $plant) {
            $own = array_values(array_filter($rows, static fn (RackRow $one): bool => $one->plant === $plant));
            [$file[$name], $reached[$name]] = self::fitted($own, $plant, $told);
        }

        return [$file + ['reached' => $reached], $reached];
    }

    /** Short name of twin, people and signs: racks drawn by others are of no use. */
    public static function drawnBy(): string
    {
        $patients = new RackPatients(1);
        $lines = [];
        for ($number = 0; $number < self::DRAWN_AS_PROBES; $number++) {
            foreach (RackRow::of($number, $patients->number($number)) as $row) {
                $lines[] = $row->line();
            }
        }

        return 'rack-'.substr(md5(json_encode([self::knots(), $lines], JSON_THROW_ON_ERROR)), 0, 10);
    }

    /** @return array<string, list<float>> SI by sign: a curve for other knots is of no use */
    private static function knots(): array
    {
        $knots = [];
        foreach (RackSign::cases() as $sign) {
            $knots[$sign->value] = $sign->knots();
        }

        return $knots;
    }

    /**
     * @param  list<RackRow>  $rows
     * @param  callable(int, float): void  $told
     * @return array{array<string, mixed>, array{int, float, float, float}}
     */
    private static function fitted(array $rows, bool $plant, callable $told): array
    {
        $columns = [];
        $count = 0;
        foreach (RackSign::of($plant) as $sign) {
            foreach ($sign->knots() as $_) {
                $columns[$sign->value][] = $count++;
            }
        }
        $faults = RackRow::faults($plant);
        $lesson = static fn (RackRow $row): Lesson => $row->lesson($columns);
        $isHeld = static fn (RackRow $row): bool => $row->number % self::HELD_BACK === 0;
        $taught = array_map(
            $lesson,
            array_values(array_filter($rows, static fn (RackRow $one): bool => ! $isHeld($one))),
        );
        $held = array_map($lesson, array_values(array_filter($rows, $isHeld)));
        $prior = array_fill(0, $count, array_fill(0, count($faults), 0.0));
        $fit = new CurveFit($prior, self::bias($taught, count($faults)), array_values($columns));
        $fit->to($taught, self::ROUNDS, $told);
        $weights = [];
        foreach ($columns as $key => $own) {
            $knots = array_map(
                static fn (int $column): array => array_map(
                    static fn (float $one): int => (int) round($one / self::UNIT),
                    array_values($fit->weights[$column]),
                ),
                $own,
            );
            $most = 0;
            foreach ($knots as $row) {
                $most = max($most, ...array_map(abs(...), $row));
            }
            if ($most * self::UNIT >= self::LEAST) {
                $weights[$key] = $knots;
            }
        }

        return [
            [
                'faults' => array_map(static fn (Fault $one): string => $one->value, $faults),
                'prior' => array_map(static fn (float $one): int => (int) round($one / self::UNIT), $fit->bias),
                'weights' => $weights,
            ],
            self::measured($fit, $held),
        ];
    }

    /**
     * @param  list<Lesson>  $lessons
     * @return list<float> nats by place: how often each was drawn
     */
    private static function bias(array $lessons, int $faults): array
    {
        $counts = array_fill(0, $faults, 1.0);
        foreach ($lessons as $lesson) {
            foreach ($lesson->truth as $place => $share) {
                $counts[$place] += $share;
            }
        }
        $all = array_sum($counts);

        return array_values(array_map(static fn (float $one): float => log($one / $all), $counts));
    }

    /**
     * @param  list<Lesson>  $held
     * @return array{int, float, float, float} visits, shares right first and within three, loss
     */
    private static function measured(CurveFit $fit, array $held): array
    {
        $first = $three = $loss = 0.0;
        foreach ($held as $lesson) {
            $chances = $fit->probabilities($lesson);
            $truth = (int) array_key_first($lesson->truth);
            $loss -= log(max(1e-9, $chances[$truth]));
            arsort($chances);
            $order = array_keys($chances);
            $first += $order[0] === $truth ? 1 : 0;
            $three += in_array($truth, array_slice($order, 0, 3), true) ? 1 : 0;
        }
        $count = max(1, count($held));

        return [count($held), round($first / $count, 3), round($three / $count, 3), round($loss / $count, 3)];
    }
}
