<?php

declare(strict_types=1);

namespace Tests\Core\Work\Record;

use Metrum\Knowledge\Control;
use Metrum\Quantity\Units;
use Metrum\Work\Record\Departure;
use Metrum\Work\Record\Departures;
use Metrum\Work\Record\Drift;
use Metrum\Work\Record\DriftText;
use Metrum\Work\Record\FigureHistory;
use Metrum\Work\Record\HistoryFigure;
use Metrum\Work\Record\HistoryMove;
use Metrum\Work\Record\HistoryPoint;
use Metrum\Work\Record\RecordedVisit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Figures over the visits of a circuit: what drifts is told, what only seems to is not. */
final class DriftTest extends TestCase
{
    private const DAY = 86400.0;

    /** What instruments are off by from visit to visit, K: drawn once, mean none. */
    private const NOISE = [0.3, -0.5, 0.1, 0.6, -0.4, -0.2, 0.5, -0.3, 0.2, -0.3, 0.4, -0.4];

    /** K outside: neither rising nor falling over the visits. */
    private const WEATHER = [20.0, 26.0, 23.0, 21.0, 25.0, 22.0, 24.0, 20.0, 26.0, 23.0, 21.0, 25.0];

    public function test_a_slope_is_found_as_it_was_put_in(): void
    {
        $drift = self::split(0.5)->told();
        self::assertNotNull($drift);
        self::assertEqualsWithDelta(0.5, $drift->perSecond * Drift::MONTH, 2 * $drift->deviation * Drift::MONTH);
        self::assertEqualsWithDelta(0.5, $drift->perSecond * Drift::MONTH, 0.1);
    }

    public function test_what_does_not_drift_is_not_told_whatever_instruments_are_off_by(): void
    {
        self::assertNull(self::split(0.0)->told());
    }

    public function test_the_day_on_which_it_reaches_its_limit_follows_from_the_line(): void
    {
        $history = self::split(0.25);
        $drift = $history->told();
        self::assertNotNull($drift);
        $left = (HistoryFigure::Split->row()->act - $drift->end) / $drift->perSecond;
        self::assertEqualsWithDelta($drift->to + $left, $drift->reaches(), 1.0);
        [$drifts, $when] = DriftText::of($history, $drift, 'June 2027');
        $units = new Units();
        self::assertMatchesRegularExpression(
            '/^Condenser split drifts \+0\.\d ± 0\.\d K per month\.$/',
            $drifts->in($units),
        );
        self::assertSame('It reaches the limit (+5.0 K) about June 2027.', $when->in($units));
    }

    public function test_a_split_that_falls_is_no_wear(): void
    {
        $history = self::split(-0.5);
        self::assertNotNull($history->drift);
        self::assertGreaterThan(3.5, $history->drift->sureness());
        self::assertNull($history->told());
    }

    public function test_subcooling_that_falls_is_told_and_so_is_one_that_rises(): void
    {
        foreach ([-0.5, 0.5] as $slope) {
            self::assertNotNull(self::history(HistoryFigure::Subcooling, self::visits($slope))->told(), "$slope");
        }
    }

    public function test_a_wash_breaks_the_line(): void
    {
        $visits = self::visits(0.5);
        self::assertNotNull(self::history(HistoryFigure::Split, $visits)->told());
        $washed = [new HistoryMove(8.5 * 45 * self::DAY, Control::CondenserWashed, 1.0)];
        $visits[8] = new RecordedVisit('v8', false, new Departures($visits[8]->departures->points, $washed));
        $history = self::history(HistoryFigure::Split, $visits);
        self::assertCount(1, $history->breaks);
        self::assertNull($history->told(), 'three visits since are too few');
        self::assertNotNull(
            FigureHistory::of(HistoryFigure::Td, self::visits(0.5, figure: HistoryFigure::Td))->told(),
            'a wash of the condenser says nothing of the coil',
        );
    }

    /** @return iterable<string, array{Control, bool}> */
    public static function moves(): iterable
    {
        yield 'a valve that is turned makes another zero' => [Control::ValveTurn, true];
        yield 'a coil that is cleaned comes back to its zero' => [Control::CoilCleaned, false];
    }

    #[DataProvider('moves')]
    public function test_what_is_set_otherwise_has_another_zero(Control $control, bool $isOther): void
    {
        $at = 5.5 * 45 * self::DAY;
        $visits = [];
        foreach (range(0, 11) as $place) {
            $value = $place < 6 ? 6.0 : 10.0;
            $moves = $place === 5 ? [new HistoryMove($at, $control, 0.25)] : [];
            $visits[] = self::visit($place, HistoryFigure::Superheat, $value, 6.0, $moves, isGood: true);
        }
        $history = self::history(HistoryFigure::Superheat, $visits);
        self::assertEqualsWithDelta($isOther ? 0.0 : 4.0, $history->dots[11]->distance, 1e-9);
    }

    public function test_zero_is_where_it_ran_well_first_and_the_twin_where_nobody_said_so(): void
    {
        $visits = array_map(
            static fn (int $i): RecordedVisit => self::visit($i, HistoryFigure::Split, 14.0 + $i, 12.0, [], $i < 2),
            range(0, 5),
        );
        $history = self::history(HistoryFigure::Split, $visits);
        self::assertSame(2, $history->zeros);
        self::assertEqualsWithDelta(-0.5, $history->dots[0]->distance, 1e-9);
        $nobody = array_map(
            static fn (RecordedVisit $one): RecordedVisit => new RecordedVisit($one->id, false, $one->departures),
            $visits,
        );
        $twin = self::history(HistoryFigure::Split, $nobody);
        self::assertSame(0, $twin->zeros);
        self::assertEqualsWithDelta(2.0, $twin->dots[0]->distance, 1e-9);
    }

    public function test_one_visit_makes_no_drift(): void
    {
        $visits = self::visits(0.0);
        $visits[11] = self::visit(11, HistoryFigure::Split, 12.0 + 9.0, 12.0);
        $history = self::history(HistoryFigure::Split, $visits);
        self::assertNull($history->told());
        self::assertLessThan($history->drift?->sureness(), $history->leastSure());
    }

    public function test_a_season_is_no_drift(): void
    {
        $visits = [];
        foreach (range(0, 7) as $place) {
            $ambient = 5.0 + 3.0 * $place;
            $left = 0.1 * ($ambient - 15.0);
            $visits[] = self::visit($place, HistoryFigure::Split, 12.0 + $left, 12.0, ambient: $ambient);
        }
        self::assertNull(self::history(HistoryFigure::Split, $visits)->told());
    }

    public function test_visits_at_which_the_head_is_held_say_little(): void
    {
        $known = self::split(0.3)->drift;
        $held = array_map(
            static fn (int $i): RecordedVisit => self::visit(
                $i,
                HistoryFigure::Split,
                12.0 + 0.3 * 1.5 * $i + self::NOISE[$i],
                12.0,
                deviation: $i % 2 === 0 ? 1.0 : 4.5,
            ),
            range(0, 11),
        );
        $doubted = self::history(HistoryFigure::Split, $held)->drift;
        self::assertGreaterThan($known?->deviation, $doubted?->deviation);
    }

    public function test_few_visits_or_a_few_days_make_no_line(): void
    {
        self::assertNull(self::history(HistoryFigure::Split, array_slice(self::visits(2.0), 0, 4))->drift);
        $near = array_map(
            static fn (int $i): RecordedVisit => self::visit($i, HistoryFigure::Split, 12.0 + $i, 12.0, every: 3.0),
            range(0, 9),
        );
        self::assertNull(self::history(HistoryFigure::Split, $near)->drift);
    }

    public function test_a_drift_that_takes_many_years_to_matter_is_not_told(): void
    {
        $visits = array_map(
            static fn (int $i): RecordedVisit => self::visit($i, HistoryFigure::Split, 12.0 + 0.08 * $i, 12.0),
            range(0, 11),
        );
        $history = self::history(HistoryFigure::Split, $visits);
        self::assertGreaterThan($history->drift?->to + 3.0 * 365 * self::DAY, $history->drift?->reaches());
        self::assertNull($history->told());
    }

    public function test_what_is_kept_of_a_visit_comes_back_as_it_was_and_what_is_not_known_is_left_out(): void
    {
        $departures = self::visit(3, HistoryFigure::Split, 14.0, 12.0, [
            new HistoryMove(5.0, Control::CondenserWashed, 1.0),
        ])->departures;
        $kept = json_decode(json_encode($departures->toArray(), JSON_THROW_ON_ERROR), true);
        self::assertIsArray($kept);
        self::assertEquals($departures, Departures::fromArray($kept));
        self::assertEquals(new Departures([], []), Departures::fromArray(['points' => 'torn', 'moves' => [['x']]]));
    }

    private static function split(float $perMonth): FigureHistory
    {
        return self::history(HistoryFigure::Split, self::visits($perMonth));
    }

    /** @param  list<RecordedVisit>  $visits */
    private static function history(HistoryFigure $figure, array $visits): FigureHistory
    {
        return FigureHistory::of($figure, $visits);
    }

    /** @return list<RecordedVisit> twelve, 45 days apart */
    private static function visits(float $perMonth, ?HistoryFigure $figure = null): array
    {
        $visits = [];
        foreach (range(0, 11) as $place) {
            $off = ($perMonth * $place * 45 * self::DAY) / Drift::MONTH + self::NOISE[$place];
            foreach ($figure === null ? [HistoryFigure::Split, HistoryFigure::Subcooling] : [$figure] as $one) {
                $departures[$place][$one->value] = new Departure(12.0 + $off, 12.0, 1.3);
            }
            $point = new HistoryPoint(
                $place * 45 * self::DAY,
                273.15 + self::WEATHER[$place],
                $departures[$place],
            );
            $visits[] = new RecordedVisit("v$place", $place < 2, new Departures([$point], []));
        }

        return $visits;
    }

    /** @param  list<HistoryMove>  $moves */
    private static function visit(
        int $place,
        HistoryFigure $figure,
        float $value,
        float $expected,
        array $moves = [],
        bool $isGood = false,
        ?float $ambient = null,
        float $deviation = 1.3,
        float $every = 45.0,
    ): RecordedVisit {
        $point = new HistoryPoint(
            $place * $every * self::DAY,
            273.15 + ($ambient ?? self::WEATHER[$place]),
            [$figure->value => new Departure($value, $expected, $deviation)],
        );

        return new RecordedVisit("v$place", $isGood, new Departures([$point], $moves));
    }
}
