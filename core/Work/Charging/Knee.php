<?php

declare(strict_types=1);

namespace Metrum\Work\Charging;

use Metrum\Bench\Calculators\ChargingKnee;

/**
 * Where superheat stops falling and subcooling begins to rise: from there on refrigerant only fills the condenser.
 *
 * Both series are fitted at once with two straight lines that meet at the same charge (least squares, each place
 * tried); before it superheat may do what it likes, it even rises first while the condenser fills. Where no two lines
 * make a knee, the plain rule of the bench is asked: it also knows a log that begins at the knee or beyond it.
 */
final readonly class Knee
{
    private const PLACES = 60;

    /** Rows that it takes, and those behind it. */
    private const LEAST_ROWS = 4;

    private const BEHIND = 2;

    /** K that subcooling must have risen behind it, and beyond which superheat has not come to rest there. */
    private const RISEN = 1.5;

    private const RESTS = 2.5;

    /** Share of the slope of subcooling behind the knee above which it rose before already. */
    private const BEFORE = 0.6;

    /** K that superheat fell before it, or else those within which subcooling stood before. */
    private const FELL = 1.0;

    private const STOOD = 1.0;

    /** K within which superheat stands from row to row, and by which subcooling rises more, by the plain rule. */
    private const BAND = 0.5;

    private const RISE = 0.5;

    /** Share of a step by which a row may lie before the knee and be the one at it. */
    private const AT = 0.25;

    /** @param  int  $row  number in the rows that were given */
    private function __construct(public int $row, public float $added)
    {
    }

    /** @param  list<ChargeRow>  $rows  null where there is no knee yet */
    public static function in(array $rows): ?self
    {
        $points = [];
        foreach ($rows as $number => $row) {
            $read = [$row->superheat(), $row->subcooling()];
            if ($read[0] !== null && $read[1] !== null) {
                $points[] = [$row->added, $read[0], $read[1], $number];
            }
        }
        usort($points, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $last = count($points) - 1;
        if ($points === [] || $last + 1 < self::LEAST_ROWS || $points[$last][0] - $points[0][0] < 1e-6) {
            return null;
        }
        $best = null;
        $from = $points[0][0];
        $to = $points[$last + 1 - self::BEHIND][0];
        for ($place = 0; $place <= self::PLACES; $place++) {
            $at = $from + (($to - $from) * $place) / self::PLACES;
            [$miss, $slopes] = self::fitted($points, $at);
            if ($best === null || $miss < $best[0]) {
                $best = [$miss, $at, $slopes];
            }
        }

        return ($best === null ? null : self::found($points, $best[1], $best[2])) ?? self::plain($points);
    }

    /**
     * @param  non-empty-list<array{float, float, float, int}>  $points
     * @param  array{float, float}  $slopes  of subcooling before and behind
     */
    private static function found(array $points, float $at, array $slopes): ?self
    {
        $behind = array_values(array_filter($points, static fn (array $one): bool => $one[0] >= $at - 1e-9));
        $before = array_values(array_filter($points, static fn (array $one): bool => $one[0] < $at - 1e-9));
        if ($before === [] || count($behind) < self::BEHIND) {
            return null;
        }
        $subcooling = array_column($behind, 2);
        $superheat = array_column($behind, 1);
        $fell = max(array_column($before, 1)) - max($superheat) >= self::FELL;
        $stood = max(array_column($before, 2)) - min(array_column($before, 2)) <= self::STOOD;
        $isKnee = ($fell || $stood) &&
            max($subcooling) - min($subcooling) >= self::RISEN &&
            max($superheat) - min($superheat) <= self::RESTS &&
            $slopes[1] > 0.0 &&
            $slopes[0] < self::BEFORE * $slopes[1];
        if (! $isKnee) {
            return null;
        }
        $step = ($points[count($points) - 1][0] - $points[0][0]) / (count($points) - 1);
        foreach ($points as [$added, , , $number]) {
            if ($added >= $at - self::AT * $step) {
                return new self($number, $at);
            }
        }

        return null;
    }

    /** @param  non-empty-list<array{float, float, float, int}>  $points */
    private static function plain(array $points): ?self
    {
        $entry = ChargingKnee::entry(array_column($points, 1), array_column($points, 2), self::BAND, self::RISE);

        return $entry === null ? null : new self($points[$entry][3], $points[$entry][0]);
    }

    /**
     * @param  list<array{float, float, float, int}>  $points
     * @return array{float, array{float, float}} K² that are missed, and the slopes of subcooling
     */
    private static function fitted(array $points, float $at): array
    {
        $before = array_map(static fn (array $one): float => min(0.0, $one[0] - $at), $points);
        $behind = array_map(static fn (array $one): float => max(0.0, $one[0] - $at), $points);
        [$missed, $slopes] = Lines::fitted($before, $behind, array_column($points, 2));
        [$other] = Lines::fitted($before, $behind, array_column($points, 1));

        return [$missed + $other / 4, $slopes];
    }
}
