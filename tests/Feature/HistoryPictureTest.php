<?php

namespace Tests\Feature;

use App\Picture\HistoryPicture;
use App\Picture\LeakStrip;
use Metrum\Knowledge\Band;
use Metrum\Knowledge\ChargePurpose;
use Metrum\Knowledge\Control;
use Metrum\Quantity\Units;
use Metrum\Work\Ledger\Ledger;
use Metrum\Work\Ledger\Movement;
use Metrum\Work\Record\Departure;
use Metrum\Work\Record\Departures;
use Metrum\Work\Record\FigureHistory;
use Metrum\Work\Record\HistoryFigure;
use Metrum\Work\Record\HistoryMove;
use Metrum\Work\Record\HistoryPoint;
use Metrum\Work\Record\RecordedVisit;
use PHPUnit\Framework\TestCase;

/** The strips of a circuit's record: what is drawn of few visits and of four hundred. */
final class HistoryPictureTest extends TestCase
{
    private const WEEK = 604800.0;

    public function test_of_many_visits_the_last_and_those_beyond_the_limit_have_a_dot(): void
    {
        $picture = $this->picture(400, [37 => 9.0, 38 => 9.0]);
        self::assertNotNull($picture);
        $dots = $picture->strips[0]->dots;
        self::assertLessThan(130, count($dots));
        self::assertCount(2, array_filter($dots, static fn (array $dot): bool => $dot[2]));
        $last = end($dots);
        self::assertNotFalse($last);
        self::assertGreaterThan(HistoryPicture::RIGHT - 90.0, $last[0]);
    }

    public function test_few_visits_have_one_each_and_one_visit_is_no_picture(): void
    {
        self::assertCount(6, $this->picture(6, [])->strips[0]->dots ?? []);
        self::assertNull($this->picture(1, []));
    }

    public function test_a_move_is_written_where_it_has_room_and_whole_for_who_points_at_it(): void
    {
        $moves = [];
        foreach ([2.0, 2.2, 5.0] as $week) {
            $moves[] = new HistoryMove($week * self::WEEK, Control::CondenserWashed, 1.0);
        }
        $told = $this->picture(8, [], $moves)->strips[0]->moves ?? [];
        self::assertSame(['Condenser washed', '', 'Condenser washed'], array_column($told, 1));
        self::assertStringContainsString('1970: Condenser washed', $told[1][2]);
    }

    /**
     * @param  array<int, float>  $odd  K over expected of some visits; all others have none
     * @param  list<HistoryMove>  $moves
     */
    private function picture(int $visits, array $odd, array $moves = []): ?HistoryPicture
    {
        $all = [];
        for ($place = 0; $place < $visits; $place++) {
            $departure = new Departure(12.0 + ($odd[$place] ?? 0.0), 12.0, 1.0);
            $point = new HistoryPoint($place * self::WEEK, 295.0, [HistoryFigure::Split->value => $departure]);
            $all[] = new RecordedVisit("v$place", false, new Departures([$point], $place === 0 ? $moves : []));
        }

        return HistoryPicture::of(FigureHistory::all($all), $visits * self::WEEK, new Units());
    }

    public function test_what_leaked_is_a_strip_of_its_own_with_its_limit(): void
    {
        $now = new \DateTimeImmutable('2026-12-01');
        $loss = static fn (string $day, float $kg): Movement => new Movement(
            $day,
            new \DateTimeImmutable($day),
            $kg,
            ChargePurpose::Leak,
        );
        $ledger = static fn (Movement ...$all): Ledger => Ledger::of(
            array_values($all),
            10.0,
            new \DateTimeImmutable('2022-01-01'),
        );
        $limit = new Band(0.1, 0.2, 'house rule');
        $at = (float) $now->getTimestamp();
        self::assertNull(LeakStrip::of($ledger(), $limit, $at), 'nothing leaked');
        $leaks = LeakStrip::of($ledger($loss('2024-06-01', 0.5), $loss('2026-09-01', 2.5)), $limit, $at);
        $picture = HistoryPicture::of([], $at, new Units(), $leaks);
        $strip = $picture?->strips[0];
        self::assertSame('Leaked, 12 months', $strip?->label);
        self::assertSame([false, true, true], array_column($strip->dots, 2));
        self::assertStringContainsString('2.50 kg in 12 months', $strip->dots[1][3]);
        self::assertGreaterThan($strip->dots[1][1], $strip->dots[0][1], 'more stands higher');
        self::assertGreaterThan($strip->dots[1][1], $strip->limits[0], 'beyond the limit stands above it');
    }
}
