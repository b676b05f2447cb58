<?php

declare(strict_types=1);

namespace Metrum\Work\Record;

use Metrum\Knowledge\Control;

/** One figure over the visits of a circuit, with the weather taken out. */
final readonly class FigureHistory
{
    /**
     * @param  list<HistoryDot>  $dots  in order of time
     * @param  list<HistoryMove>  $breaks  moves after which another line begins, in order of time
     * @param  int  $zeros  visits at which it ran well that make the zero; 0: the twin alone does
     * @param  ?Drift  $drift  the line since the last of them; null where there are too few visits
     */
    private function __construct(
        public HistoryFigure $figure,
        public array $dots,
        public array $breaks,
        public int $zeros,
        public ?Drift $drift,
    ) {
    }

    /**
     * @param  list<RecordedVisit>  $visits  oldest first
     * @return list<self> of the figures that were ever read, in the order in which they are shown
     */
    public static function all(array $visits): array
    {
        $all = [];
        foreach (HistoryFigure::cases() as $figure) {
            $one = self::of($figure, $visits);
            $all = $one->dots === [] ? $all : [...$all, $one];
        }

        return $all;
    }

    /** @param  list<RecordedVisit>  $visits  oldest first */
    public static function of(HistoryFigure $figure, array $visits): self
    {
        $row = $figure->row();
        $dots = $breaks = [];
        foreach ($visits as $visit) {
            foreach ($visit->departures->points as $point) {
                $one = $point->departures[$figure->value] ?? null;
                if ($one !== null) {
                    $dots[] = new HistoryDot($visit->id, $point->at, $one->distance(), $one, $point->ambient);
                }
            }
            foreach ($visit->departures->moves as $move) {
                if (in_array($move->control, $row->brokenBy, true)) {
                    $breaks[] = $move;
                }
            }
        }
        $since = self::setSince($breaks);
        [$zero, $zeros] = self::zero($dots, $visits, $since);
        $dots = array_map(
            static fn (HistoryDot $it): HistoryDot => new HistoryDot(
                $it->visit,
                $it->at,
                $it->distance - $zero,
                $it->departure,
                $it->ambient,
            ),
            $dots,
        );

        return new self($figure, $dots, $breaks, $zeros, Drift::through(self::sinceLast($dots, $breaks), $row));
    }

    /**
     * When it was last set otherwise, or is another: what it was before is no zero any more. What is cleaned or mended
     * comes back to its zero.
     *
     * @param  list<HistoryMove>  $breaks
     */
    private static function setSince(array $breaks): float
    {
        $since = -INF;
        foreach ($breaks as $one) {
            $isOther = $one->control->hasPosition() || $one->control === Control::PartReplaced;
            $since = $isOther ? max($since, $one->at) : $since;
        }

        return $since;
    }

    /**
     * @param  list<HistoryDot>  $dots
     * @param  list<RecordedVisit>  $visits
     * @return array{float, int} and of how many visits
     */
    private static function zero(array $dots, array $visits, float $since): array
    {
        $good = [];
        foreach ($visits as $visit) {
            $good += $visit->ranWell ? [$visit->id => true] : [];
        }
        $left = [];
        foreach ($dots as $dot) {
            if (isset($good[$dot->visit]) && $dot->at > $since) {
                $left[$dot->visit] = $dot->distance;
            }
        }
        $first = array_slice($left, 0, DriftRule::inForce()->zero);

        return $first === [] ? [0.0, 0] : [array_sum($first) / count($first), count($first)];
    }

    /**
     * @param  list<HistoryDot>  $dots
     * @param  list<HistoryMove>  $breaks
     * @return list<HistoryDot> of the line that goes on
     */
    private static function sinceLast(array $dots, array $breaks): array
    {
        $last = $breaks === [] ? -INF : $breaks[count($breaks) - 1]->at;
        $end = $dots === [] ? 0.0 : $dots[count($dots) - 1]->at;
        $since = max($last, $end - DriftRule::inForce()->looksBack);

        return array_values(array_filter($dots, static fn (HistoryDot $one): bool => $one->at > $since));
    }

    /** The drift, where it is told: sure, and still likely whichever visit is left out. One visit makes no drift. */
    public function told(): ?Drift
    {
        return $this->drift?->isTold() === true && $this->leastSure() >= DriftRule::inForce()->without
            ? $this->drift
            : null;
    }

    /** Deviations by which the slope is none, with that visit left out without which it is least sure. */
    public function leastSure(): float
    {
        $line = self::sinceLast($this->dots, $this->breaks);
        $least = INF;
        foreach (array_keys($line) as $place) {
            $others = $line;
            unset($others[$place]);
            $drift = Drift::through(array_values($others), $this->figure->row(), 1);
            $isSame = $drift !== null && $drift->perSecond * ($this->drift->perSecond ?? 0.0) > 0.0;
            $least = min($least, $isSame ? $drift->sureness() : 0.0);
        }

        return $least === INF ? 0.0 : $least;
    }
}
