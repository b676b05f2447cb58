<?php

declare(strict_types=1);

namespace Tests\Core\Work;

use Metrum\Card\Cards;
use Metrum\Installation\Circuit;
use Metrum\Installation\Kind;
use Metrum\Log\Content;
use Metrum\Log\FactKind;
use Metrum\Work\Leaks\Air;
use Metrum\Work\Leaks\LeakPlace;
use Metrum\Work\Leaks\LeakSearch;
use Metrum\Work\Leaks\SearchLog;
use Metrum\Work\Leaks\SearchMark;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The search for leaks: where one may be, what each search and mark does to that, and what nothing found means. */
final class LeakSearchTest extends TestCase
{
    public function test_all_chances_together_are_one_whatever_was_searched(): void
    {
        $tries = [
            [],
            ['ports' => SearchMark::ClearBoth],
            ['ports' => SearchMark::Smells, 'drier' => SearchMark::NotReached],
            ['ports' => SearchMark::Bubble, 'drier' => SearchMark::ClearDetector],
            array_fill_keys(['ports', 'field_joints', 'walls', 'clamps', 'drier'], SearchMark::ClearBoth),
        ];
        foreach ($tries as $searched) {
            $search = self::search($searched);
            $all = array_sum($search->chances) + $search->elsewhere + $search->nowhere;
            self::assertEqualsWithDelta(1.0, $all, 1e-9);
        }
    }

    public function test_searched_in_vain_it_is_less_likely_there_and_likelier_elsewhere(): void
    {
        $before = self::search();
        foreach ([SearchMark::ClearDetector, SearchMark::ClearBubbles, SearchMark::ClearBoth] as $how) {
            $after = self::search(['ports' => $how]);
            self::assertLessThan($before->chances['ports'], $after->chances['ports']);
            self::assertGreaterThan($before->chances['drier'], $after->chances['drier']);
            self::assertLessThan($before->left(), $after->left(), 'and less likely at all');
        }
        $both = self::search(['ports' => SearchMark::ClearBoth])->chances['ports'];
        self::assertLessThan(self::search(['ports' => SearchMark::ClearDetector])->chances['ports'], $both);
    }

    public function test_what_cannot_be_reached_stays_as_likely_and_is_not_next(): void
    {
        $first = self::search()->next();
        assert($first !== null);
        $search = self::search([$first->key => SearchMark::NotReached]);

        self::assertEqualsWithDelta(self::search()->chances[$first->key], $search->chances[$first->key], 1e-9);
        self::assertNotSame($first->key, $search->next()?->key);
    }

    public function test_marks_and_the_detector_make_a_place_likelier_and_a_bubble_ends_it(): void
    {
        $plain = self::search();
        $marked = new LeakSearch(self::cooler(), marked: ['drier' => true]);
        $unmarked = new LeakSearch(self::cooler(), marked: ['drier' => false]);
        self::assertGreaterThan(3 * $plain->chances['drier'], $marked->chances['drier']);
        self::assertLessThan($plain->chances['drier'], $unmarked->chances['drier']);
        self::assertSame('drier', $marked->next()?->key);
        $smells = self::search(['drier' => SearchMark::Smells]);
        self::assertGreaterThan(3 * $plain->chances['drier'], $smells->chances['drier']);
        $found = self::search(['drier' => SearchMark::Bubble]);
        self::assertEqualsWithDelta(1.0, $found->chances['drier'], 1e-9);
        self::assertSame(['drier'], array_map(static fn (LeakPlace $one): string => $one->key, $found->found()));
    }

    public function test_a_place_where_one_was_found_before_and_an_old_plant_s_places_are_likelier(): void
    {
        $before = new LeakSearch(self::cooler(), foundBefore: ['walls' => 1]);
        self::assertGreaterThan(1.5 * self::search()->chances['walls'], $before->chances['walls']);
        $old = new LeakSearch(self::cooler(), years: 18.0);
        $new = new LeakSearch(self::cooler(), years: 0.5);
        self::assertGreaterThan($new->chances['clamps'], $old->chances['clamps']);
        self::assertLessThan($new->chances['field_joints'], $old->chances['field_joints']);
    }

    /** @return iterable<string, array{Air, SearchMark}> */
    public static function airs(): iterable
    {
        yield 'wind takes from the detector' => [Air::Wind, SearchMark::ClearDetector];
        yield 'rain from bubbles' => [Air::Rain, SearchMark::ClearBubbles];
        yield 'foam from the detector' => [Air::Foam, SearchMark::ClearDetector];
    }

    #[DataProvider('airs')]
    public function test_wind_rain_and_foam_lower_what_a_search_says(Air $air, SearchMark $how): void
    {
        $calm = self::search(['ports' => $how]);
        $rough = new LeakSearch(self::cooler(), ['ports' => $how], air: $air);

        self::assertGreaterThan($calm->chances['ports'], $rough->chances['ports'], 'it may still be there');
    }

    public function test_a_detector_that_speaks_in_foam_says_less(): void
    {
        $calm = self::search(['ports' => SearchMark::Smells]);
        $foam = new LeakSearch(self::cooler(), ['ports' => SearchMark::Smells], air: Air::Foam);

        self::assertLessThan($calm->chances['ports'], $foam->chances['ports']);
    }

    public function test_without_pressure_a_search_says_next_to_nothing(): void
    {
        $low = static fn (float $pascal): LeakSearch => new LeakSearch(
            self::cooler(),
            ['coil_bends' => SearchMark::ClearBoth],
            low: $pascal,
        );
        self::assertGreaterThan($low(4e5)->chances['coil_bends'], $low(2e5)->chances['coil_bends']);
        self::assertGreaterThan(0.85 * self::search()->chances['coil_bends'], $low(1e4)->chances['coil_bends']);
        self::assertTrue($low(1e4)->hasLittlePressure());
        self::assertFalse($low(4e5)->hasLittlePressure());
        self::assertFalse(self::search()->hasLittlePressure(), 'what was not read is not low');
    }

    public function test_nothing_found_everywhere_leaves_a_number_that_is_small(): void
    {
        $searched = [];
        $left = 1.0;
        for ($search = self::search(); ($place = $search->next()) !== null; $search = self::search($searched)) {
            $searched[$place->key] = SearchMark::ClearBoth;
            self::assertLessThan($left, self::search($searched)->left());
            $left = self::search($searched)->left();
        }
        self::assertCount(count(LeakPlace::of(self::cooler())), $searched);
        self::assertLessThan(0.6, $left);
        self::assertGreaterThan(0.1, $left, 'somewhere else is never ruled out');
    }

    public function test_places_are_those_that_the_plant_has(): void
    {
        $keys = static fn (Circuit $circuit): array => array_map(
            static fn (LeakPlace $one): string => $one->key,
            LeakPlace::of($circuit),
        );
        self::assertNotContains('pilot_lines', $keys(self::cooler()));
        self::assertNotContains('head_valve', $keys(self::cooler()));
        self::assertContains('receiver_parts', $keys(self::cooler()));
        $cabinet = Circuit::fromWords(
            ['kind' => 'reach_in_cooler', 'refrigerant' => 'R-290', 'metering' => 'capillary', 'receiver' => false],
            [],
        );
        self::assertNotContains('feed_valve', $keys($cabinet));
        self::assertNotContains('receiver_parts', $keys($cabinet));
    }

    public function test_the_card_has_a_step_and_a_mark_for_each_place_and_each_is_mended_by_a_card(): void
    {
        $card = Cards::find(SearchLog::CARD);
        assert($card !== null);
        foreach (LeakPlace::all() as $place) {
            $answers = array_map(strval(...), array_keys($card->step($place->key)->answers ?? []));
            self::assertSame(array_column(SearchMark::cases(), 'value'), $answers, $place->key);
            self::assertNotNull($card->step($place->key.'_mark'), $place->key);
            self::assertNotNull(Cards::find($place->mends), $place->key);
            self::assertGreaterThan(0.0, $place->minutes);
        }
        $airs = array_map(strval(...), array_keys($card->step('weather')->answers ?? []));
        self::assertSame(array_column(Air::cases(), 'value'), $airs);
    }

    public function test_a_log_says_what_was_searched_and_a_shortage_that_it_leaks(): void
    {
        $hand = ChargeHand::cabinet(0.62)->look()->read();
        $say = static fn (string $step, string $word) => $hand->say(
            FactKind::Card,
            new Content(SearchLog::CARD.'.'.$step, null, $word),
        );
        $full = SearchLog::search(ChargeHand::cabinet(1.0)->look()->read()->work());
        self::assertGreaterThan($full->left() + 0.3, SearchLog::search($hand->work())->left());
        $say('weather', 'wind');
        $say('ports_mark', 'hiss');
        $say('ports', 'bubble');
        $search = SearchLog::search($hand->work());
        self::assertSame(SearchMark::Bubble, $search->searched['ports']);
        self::assertTrue($search->marked['ports']);
        self::assertSame(['ports'], SearchLog::found($hand->work()->log));
        // Charged full again, what was lost was lost all the same.
        $hand->add(0.38 * 0.38)->look()->read();
        $say('ports', '');
        self::assertGreaterThan(0.7, SearchLog::search($hand->work())->left());
    }

    /** @param  array<string, SearchMark>  $searched */
    private static function search(array $searched = []): LeakSearch
    {
        return new LeakSearch(self::cooler(), $searched);
    }

    private static function cooler(): Circuit
    {
        return Circuit::plain(Kind::WalkInCooler);
    }
}
