<?php

namespace App\Picture;

use Metrum\Quantity\Units;
use Metrum\Work\Record\DriftRule;
use Metrum\Work\Record\FigureHistory;
use Metrum\Work\Record\HistoryDot;
use Metrum\Work\Record\HistoryFigureRow;
use Metrum\Work\Record\Worse;

/** Figures of a circuit over its visits, a strip each, by their distance from where they are when it runs well. */
final readonly class HistoryPicture
{
    public const WIDTH = 860.0;

    private const STRIP = 76.0;

    public const LEFT = 150.0;

    public const RIGHT = 846.0;

    /** Between what is drawn, left to right. */
    public const ACROSS = self::RIGHT - self::LEFT;

    private const FOOT = 22.0;

    /** Above the lower end of the picture at which its months stand. */
    private const MONTHS_ABOVE = 6.0;

    /** Of a strip: its upper and its lower end, where a move begins, and where that is written. */
    public const TOP = 14.0;

    public const MOVES = self::TOP - 8.0;

    public const WORDS = self::TOP - 2.0;

    public const BOTTOM = 70.0;

    public const MIDDLE = (self::TOP + self::BOTTOM) / 2.0;

    /** Limits that a strip is high above and below its zero, at least and at most. */
    private const LEAST = 1.2;

    private const MOST = 2.5;

    /** Scatters that its band is wide to each side. */
    private const BAND = 2.0;

    /** Widths from one told move to the next. */
    private const APART = 110.0;

    /** Visits of which each has a dot; of those before about as many again. */
    private const LAST = 40;

    /** Share of its time that is kept free for what a line goes on to. */
    private const AHEAD = 0.12;

    /** Marks of the time: months between them by years that are shown. */
    private const MONTHS = [[1.2, 3], [3.0, 6], [8.0, 12], [INF, 24]];

    /**
     * @param  list<HistoryStrip>  $strips
     * @param  list<array{float, string}>  $months
     */
    private function __construct(public array $strips, public array $months)
    {
    }

    /**
     * Null where no figure was read at two visits, and nothing leaked.
     *
     * @param  list<FigureHistory>  $figures
     * @param  float  $now  s since 1970
     * @param  ?LeakStrip  $leaks  what leaked; null: nothing is known to have
     */
    public static function of(array $figures, float $now, Units $units, ?LeakStrip $leaks = null): ?self
    {
        $figures = array_values(array_filter(
            $figures,
            static fn (FigureHistory $one): bool => count($one->dots) > 1,
        ));
        $firsts = array_map(static fn (FigureHistory $one): float => $one->dots[0]->at, $figures);
        $firsts = $leaks === null ? $firsts : [...$firsts, $leaks->begins()];
        if ($firsts === []) {
            return null;
        }
        $begins = min($firsts);
        $ends = $now + self::AHEAD * ($now - $begins);
        $time = Axis::of(self::LEFT, self::RIGHT, $begins, $ends);

        $strips = array_map(
            static fn (FigureHistory $one, int $place): HistoryStrip => self::strip(
                $one,
                $place * self::STRIP,
                $time,
                $units,
            ),
            $figures,
            array_keys($figures),
        );
        if ($leaks !== null) {
            $strips[] = $leaks->strip(count($strips) * self::STRIP, $time, $units);
        }

        return new self($strips, self::months($begins, $ends, $time));
    }

    private static function strip(FigureHistory $figure, float $top, Axis $time, Units $units): HistoryStrip
    {
        $row = $figure->figure->row();
        $distances = array_map(static fn (HistoryDot $one): float => abs($one->distance), $figure->dots);
        $far = max([0.0, ...$distances]) / $row->act;
        $high = $row->act * max(self::LEAST, min(self::MOST, 1.1 * $far));
        $level = Axis::of(self::BOTTOM, self::TOP, -$high, $high)->held();
        $at = static fn (float $value): float => round($level->at($value), 1);
        $dots = [];
        foreach (self::shown($figure) as $one) {
            $isBeyond = self::isBeyond($one, $row);
            $said = date('j M Y', (int) $one->at).': '.$row->told($one->distance)->in($units);
            $dots[] = [round($time->at($one->at), 1), $at($one->distance), $isBeyond, $said];
        }

        $band = $at(self::BAND * $row->scatter);

        return new HistoryStrip(
            $top,
            $row->label,
            [$band, round($at(-self::BAND * $row->scatter) - $band, 1)],
            array_map($at, self::limits($row)),
            [$at(0.0), $row->told($row->act)->in($units)],
            $dots,
            self::moves($figure, $time, $units),
            self::line($figure, new Plot($time, $level)),
        );
    }

    private static function isBeyond(HistoryDot $one, HistoryFigureRow $row): bool
    {
        return abs($one->distance) >= $row->act && $row->worse->is($one->distance);
    }

    /** @return list<HistoryDot> the last, those beyond the limit, and of the rest as many as can be told apart */
    private static function shown(FigureHistory $figure): array
    {
        $earlier = array_slice($figure->dots, 0, -self::LAST);
        $every = max(1, (int) ceil(count($earlier) / self::LAST));
        $row = $figure->figure->row();
        $told = array_filter(
            $earlier,
            static fn (HistoryDot $one, int $place): bool => $place % $every === 0 || self::isBeyond($one, $row),
            ARRAY_FILTER_USE_BOTH,
        );

        return [...array_values($told), ...array_slice($figure->dots, -self::LAST)];
    }

    /** @return list<float> */
    private static function limits(HistoryFigureRow $row): array
    {
        return match ($row->worse) {
            Worse::Up => [$row->act],
            Worse::Down => [-$row->act],
            Worse::Either => [$row->act, -$row->act],
        };
    }

    /** @return list<array{float, string, string}> where, in words as far as there is room, and whole */
    private static function moves(FigureHistory $figure, Axis $time, Units $units): array
    {
        $moves = [];
        $told = -INF;
        foreach ($figure->breaks as $one) {
            $x = round($time->at($one->at), 1);
            if ($x < self::LEFT) {
                continue;
            }
            $words = $one->words()->in($units);
            $hasRoom = $x - $told >= self::APART;
            $told = $hasRoom ? $x : $told;
            $moves[] = [$x, $hasRoom ? $words : '', date('j M Y', (int) $one->at).': '.$words];
        }

        return $moves;
    }

    /** The line that is told, as far as the limit; empty where none is. */
    private static function line(FigureHistory $figure, Plot $plot): string
    {
        $drift = $figure->told();
        if ($drift === null) {
            return '';
        }
        $end = min(max($drift->to, $drift->reaches()), $plot->x->value(1.0));

        return $plot->path([
            [$drift->from, $drift->begin],
            [$end, $drift->end + $drift->perSecond * ($end - $drift->to)],
        ]);
    }

    /** @return list<array{float, string}> */
    private static function months(float $begins, float $ends, Axis $time): array
    {
        $years = ($ends - $begins) / DriftRule::YEAR;
        $step = 12;
        foreach (self::MONTHS as [$most, $months]) {
            if ($years <= $most) {
                $step = $months;
                break;
            }
        }
        $marks = [];
        $first = (new \DateTimeImmutable('@'.(int) $begins))->modify('first day of january this year midnight');
        for ($day = $first; $day->getTimestamp() <= $ends; $day = $day->modify("+$step months")) {
            $x = round($time->at((float) $day->getTimestamp()), 1);
            if ($x >= self::LEFT && $x <= self::RIGHT) {
                $marks[] = [$x, $day->format('M Y')];
            }
        }

        return $marks;
    }

    /** Where its months are written. */
    public function foot(): float
    {
        return $this->height() - self::MONTHS_ABOVE;
    }

    public function height(): float
    {
        return self::STRIP * count($this->strips) + self::FOOT;
    }
}
