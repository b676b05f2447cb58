<?php

declare(strict_types=1);

namespace Tests\Core\Work\Goods;

use Metrum\Findings\Mark;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Goods;
use Metrum\Knowledge\GoodsEvent;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Language\Sentence;
use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Ground;
use Metrum\Log\Log;
use Metrum\Log\NotAFact;
use Metrum\Log\Source;
use Metrum\Log\Statement;
use Metrum\Quantity\Atmosphere;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\Units;
use Metrum\Work\Goods\GoodsRow;
use Metrum\Work\Goods\GoodsState;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** For how long goods were out of their limits: counted where it is known, with its width where it is not. */
final class GoodsHoursTest extends TestCase
{
    private const DAY = '2026-11-30 ';

    private const HOUR = 3600.0;

    private const SINCE = 'Above the limit at the first reading: enter when last known good.';

    public function test_between_two_readings_above_the_limit_the_time_is_known(): void
    {
        $row = self::row([self::kept(), self::box('08:00', 9.0), self::box('11:30', 8.0)], '11:30');
        self::assertEqualsWithDelta([3.5, 3.5], self::hours($row), 1e-6);
        self::assertSame(Mark::Look, $row->mark());
        self::assertSame(['3.5 h above 7.0 °C.', self::SINCE, 'Check before use or sale.'], self::said($row));
    }

    public function test_it_may_have_been_above_since_it_was_known_good_and_was_for_sure_from_the_first_reading(): void
    {
        $facts = [self::kept(), self::good('22:30'), self::box('06:30', 9.0), self::box('08:30', 9.5)];
        $row = self::row($facts, '08:30');
        self::assertEqualsWithDelta([2.0, 10.0], self::hours($row), 1e-6);
        self::assertSame('2 to 10 h above 7.0 °C.', self::said($row)[0]);
    }

    public function test_close_readings_are_joined_by_a_line_and_a_long_gap_counts_from_none_to_whole(): void
    {
        $close = self::row([self::kept(), self::box('08:00', 9.0), self::box('09:00', 5.0)], '09:00');
        self::assertEqualsWithDelta([0.5, 0.5], self::hours($close), 1e-6);
        $long = self::row([self::kept(), self::box('08:00', 9.0), self::box('12:00', 5.0)], '12:00');
        self::assertEqualsWithDelta([0.0, 4.0], self::hours($long), 1e-6);
    }

    public function test_what_was_above_at_the_last_reading_goes_on_until_it_is_read_or_moved(): void
    {
        $facts = [self::kept(), self::box('08:00', 9.0), self::box('10:00', 9.0)];
        self::assertEqualsWithDelta([2.0, 5.0], self::hours(self::row($facts, '13:00')), 1e-6);
        $moved = [...$facts, self::event(GoodsEvent::Moved, '11:00')];
        self::assertEqualsWithDelta([2.0, 3.0], self::hours(self::row($moved, '13:00')), 1e-6);
        $back = [...$moved, self::event(GoodsEvent::BroughtBack, '12:00')];
        self::assertEqualsWithDelta([2.0, 5.0], self::hours(self::row($back, '13:00')), 1e-6);
    }

    public function test_product_temperatures_stand_for_the_goods_where_they_were_read(): void
    {
        $product = self::reading(Reading::ProductTemperature, '09:00', 4.0);
        $row = self::row([self::kept(), self::box('08:00', 12.0), self::box('09:00', 12.0), $product], '09:00');
        self::assertSame([0.0, 0.0], self::hours($row));
        self::assertSame(['Within the limit.'], self::said($row));
    }

    public function test_each_verdict_follows_from_the_hours_and_the_house_rule(): void
    {
        $until = static fn (string $end, HouseRules $rules = new HouseRules()): GoodsRow => self::row(
            [self::kept(), self::box('08:00', 9.0), self::box($end, 9.0)],
            $end,
            $rules,
        );
        self::assertSame('Cool again at once, or move.', self::last($until('09:00')));
        self::assertSame('Check before use or sale.', self::last($until('10:30')));
        self::assertSame('Usually discarded after that time.', self::last($until('12:30')));
        self::assertSame(Mark::Act, $until('12:30')->mark());
        $strict = new HouseRules(['goods_hours' => 'one_two', 'goods_meat' => 'four']);
        self::assertSame('Usually discarded after that time.', self::last($until('10:30', $strict)));
    }

    public function test_goods_frozen_by_mistake_count_too_and_frozen_goods_cannot_be(): void
    {
        $row = self::row([self::kept(), self::box('08:00', -5.0)], '08:00');
        self::assertSame(Mark::Look, $row->mark());
        self::assertStringContainsString('Frozen by mistake', self::last($row));
        $deep = self::row([self::kept(Goods::Frozen), self::box('08:00', -41.0)], '08:00');
        self::assertSame(Mark::Fine, $deep->mark());
    }

    public function test_somebody_has_to_say_what_becomes_of_goods_out_of_their_limits(): void
    {
        $facts = [self::kept(), self::box('08:00', 9.0), self::box('11:00', 9.0)];
        self::assertTrue(self::state($facts, '11:00')->isUndecided());
        foreach ([GoodsEvent::Moved, GoodsEvent::Discarded, GoodsEvent::Stays] as $event) {
            self::assertFalse(self::state([...$facts, self::event($event, '11:00')], '11:00')->isUndecided());
        }
        $back = [...$facts, self::event(GoodsEvent::BroughtBack, '11:00')];
        self::assertTrue(self::state($back, '11:00')->isUndecided());
        self::assertFalse(self::state([self::kept(), self::box('08:00', 4.0)], '09:00')->isUndecided());
    }

    /** @return iterable<string, array{string, ?string}> as typed, and when that was; null: refused */
    public static function times(): iterable
    {
        yield 'this morning' => ['06:15', '2026-11-30 06:15'];
        yield 'last night' => ['22:30', '2026-11-29 22:30'];
        yield 'with its day' => ['2026-11-28 23:05', '2026-11-28 23:05'];
        yield 'so long ago' => ['6 h', '2026-11-30 02:00'];
        yield 'minutes' => ['90 min', '2026-11-30 06:30'];
        yield 'in words' => ['1.5 hours', '2026-11-30 06:30'];
        yield 'no such hour' => ['25:00', null];
        yield 'no such day' => ['2026-02-30 10:00', null];
        yield 'words' => ['last night', null];
        yield 'a year ago' => ['365 d', null];
    }

    #[DataProvider('times')]
    public function test_a_time_is_said_as_people_say_it(string $typed, ?string $then): void
    {
        $said = new Statement(FactKind::Goods, GoodsEvent::LastGood->value, $typed);
        if ($then === null) {
            $this->expectException(NotAFact::class);
            $this->expectExceptionMessage("you entered “{$typed}”. Enter a time as 22:30");
        }
        $content = FactKind::Goods->rule()->content($said, self::ground());
        $log = new Log([self::fact('08:00', FactKind::Goods, $content)]);
        $track = GoodsState::of($log, new HouseRules(), self::at('08:00'))->track;
        self::assertSame(self::seconds((string) $then), $track->lastGood);
    }

    public function test_what_became_of_them_wants_what_and_by_whom(): void
    {
        $this->expectExceptionMessage('Moved to: enter what or where, and by whom.');
        $said = new Statement(FactKind::Goods, GoodsEvent::Moved->value, 'cold room 3');
        FactKind::Goods->rule()->content($said, self::ground());
    }

    private static function ground(): Ground
    {
        return new Ground(new Units(), Atmosphere::atAltitude(0.0));
    }

    /** @param  list<Fact>  $facts */
    private static function state(array $facts, string $now, HouseRules $rules = new HouseRules()): GoodsState
    {
        return GoodsState::of(new Log($facts), $rules, self::at($now));
    }

    /** @param  list<Fact>  $facts */
    private static function row(array $facts, string $now, HouseRules $rules = new HouseRules()): GoodsRow
    {
        return self::state($facts, $now, $rules)->rows[0];
    }

    /** @return array{float, float} */
    private static function hours(GoodsRow $row): array
    {
        return [$row->hours->least / self::HOUR, $row->hours->most / self::HOUR];
    }

    /** @return list<string> */
    private static function said(GoodsRow $row): array
    {
        return array_map(static fn (Sentence $one): string => $one->in(new Units()), $row->said());
    }

    private static function last(GoodsRow $row): string
    {
        $said = self::said($row);

        return $said[count($said) - 1];
    }

    private static function kept(Goods $goods = Goods::Meat): Fact
    {
        return self::fact('07:50', FactKind::Goods, new Content($goods->value, null, 'yes'));
    }

    private static function good(string $at): Fact
    {
        return self::fact('07:51', FactKind::Goods, new Content('last_good', null, null, ['at' => $at]));
    }

    private static function event(GoodsEvent $event, string $at): Fact
    {
        $data = ['text' => 'cold room 3', 'reason' => 'the cook'];

        return self::fact($at, FactKind::Goods, new Content($event->value, null, 'yes', $data));
    }

    private static function box(string $at, float $celsius): Fact
    {
        return self::reading(Reading::BoxTemperature, $at, $celsius);
    }

    private static function reading(Reading $reading, string $at, float $celsius): Fact
    {
        return self::fact($at, FactKind::Reading, new Content($reading->value, $celsius + Celsius::ZERO));
    }

    private static function fact(string $at, FactKind $kind, Content $content): Fact
    {
        static $count = 0;
        $count++;

        return new Fact("fact $count", $kind, $content, self::at($at), Source::Hand, 'a', '', PartId::circuit());
    }

    private static function at(string $time): \DateTimeImmutable
    {
        return new \DateTimeImmutable(self::DAY.$time);
    }

    private static function seconds(string $at): float
    {
        return (float) (new \DateTimeImmutable($at))->getTimestamp();
    }
}
