<?php

declare(strict_types=1);

namespace Tests\Core\Log;

use Metrum\Log\Kinds\Trace;
use Metrum\Log\NotAFact;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What was seen in time is told afterwards, as minutes and values. */
final class TraceTest extends TestCase
{
    /** @param  list<array{float, string}>  $points  seconds ago and value */
    #[DataProvider('traces')]
    public function test_a_trace_is_read(string $typed, array $points): void
    {
        self::assertEqualsWithDelta($points, Trace::in($typed)?->points, 1e-6);
    }

    /** @return iterable<string, array{string, list<array{float, string}>}> */
    public static function traces(): iterable
    {
        $walk = [[2400.0, '15'], [1800.0, '11'], [0.0, '3']];
        yield 'minutes' => ['0 15, 10 11, 40 3', $walk];
        yield 'that begin anywhere' => ['5 15, 15 11, 45 3', $walk];
        yield 'lines' => ["0 15\n10 11\n40 3", $walk];
        yield 'with their unit' => ['0 min 15; 10min 11; 40 min 3', $walk];
        yield 'times of the day' => ['9:50 15, 10:00 11, 10:30 3', $walk];
        yield 'over midnight' => ['23:40 15, 23:50 11, 0:20 3', $walk];
        yield 'hours' => ['0h 15, 0.5 h 11', [[1800.0, '15'], [0.0, '11']]];
        yield 'seconds' => ['0s 1.2 bar, 20s 1.6 bar', [[20.0, '1.2 bar'], [0.0, '1.6 bar']]];
        yield 'comma as point' => ['0 15,5; 2,5 11,25', [[150.0, '15,5'], [0.0, '11,25']]];
        yield 'comma as point between commas' => ['0 15,5, 10 11', [[600.0, '15,5'], [0.0, '11']]];
        yield 'below zero' => ['0 -18, 30 −21', [[1800.0, '-18'], [0.0, '−21']]];
    }

    /** @return iterable<string, array{string}> */
    public static function exports(): iterable
    {
        $day = '2026-11-30';
        yield 'date, time, semicolon' => ["Time;Temp\n$day 10:00:00;15\n$day 10:10:00;11\n$day 10:40:00;3"];
        yield 'with tabs and commas' => ["30.11.2026 10:00:00\t15\n30.11.2026 10:10:00\t11\n30.11.2026 10:40:00\t3"];
        yield 'time alone, further columns' => ["10:00:00;15;58\n10:10:00;11;57\n10:40:00;3;55"];
        yield 'as a moment, quoted' => ["\"{$day}T10:00:00,15\"\n\"{$day}T10:10:00,11\"\n\"{$day}T10:40:00,3\""];
    }

    #[DataProvider('exports')]
    public function test_what_a_logger_exports_is_read_as_it_is_pasted(string $pasted): void
    {
        self::assertEqualsWithDelta(
            [[2400.0, '15'], [1800.0, '11'], [0.0, '3']],
            Trace::in($pasted)?->points,
            1e-3,
        );
    }

    public function test_of_a_long_export_both_ends_of_each_swing_are_kept(): void
    {
        $lines = $values = [];
        for ($i = 0; $i < 3000; $i++) {
            $value = 4.0 + 3.0 * sin($i / 60);
            $values[] = $value;
            $lines[] = gmdate('Y-m-d H:i:s', 1_796_000_000 + 2 * $i).';'.sprintf('%.2f', $value);
        }
        $points = Trace::in(implode("\n", $lines))->points ?? [];
        $kept = array_map(static fn (array $one): float => (float) $one[1], $points);

        self::assertLessThanOrEqual(60, count($points));
        self::assertEqualsWithDelta([min($values), max($values)], [min($kept), max($kept)], 0.02);
        self::assertEqualsWithDelta(5998.0, $points[0][0], 0.1);
        self::assertSame(0.0, $points[count($points) - 1][0]);
    }

    public function test_an_export_without_dates_goes_on_over_midnight_and_leaves_out_what_stands_twice(): void
    {
        $points = Trace::in("23:50:00;15\n23:55:00;14\n23:55:00;14\n00:10:00;11")->points ?? [];

        self::assertEqualsWithDelta([[1200.0, '15'], [900.0, '14'], [0.0, '11']], $points, 1e-3);
    }

    public function test_numbers_typed_by_hand_are_no_export(): void
    {
        self::assertSame('15', Trace::in("9:50 15\n10:00 11\n10:30 3")->points[0][1] ?? '', 'times of the day');
        self::assertEqualsWithDelta(2400.0, Trace::in("0 15\n10 11\n40 3")->points[0][0] ?? 0.0, 1e-6, 'minutes');
    }

    public function test_a_line_of_an_export_that_says_nothing_is_named(): void
    {
        $this->expectException(NotAFact::class);
        $this->expectExceptionMessage('Line 4 reads “sensor lost”');
        Trace::in("10:00:00;15\n10:10:00;11\n10:20:00;9\nsensor lost\n10:40:00;3");
    }

    public function test_a_single_value_is_none(): void
    {
        foreach (['15', '15,5', '-18 °C', '1.2 bar', '', '0 15'] as $typed) {
            self::assertNull(Trace::in($typed), $typed);
        }
    }

    #[DataProvider('mistakes')]
    public function test_what_cannot_be_is_told(string $typed, string $why): void
    {
        $this->expectException(NotAFact::class);
        $this->expectExceptionMessage($why);
        Trace::in($typed);
    }

    /** @return iterable<string, array{string, string}> */
    public static function mistakes(): iterable
    {
        yield 'no value' => ['0 15, 10', 'You entered “10”. Enter minutes and a value each'];
        yield 'no time' => ['warm, cold', 'You entered “warm”'];
        yield 'times that fall' => ['0 15, 20 11, 10 3', 'Times must increase: "10 3" comes after 20 min.'];
        yield 'the same time twice' => ['0 15, 0 11', 'Times must increase'];
        yield 'more than two days' => ['0 15, 50h 3', 'You entered 3000 min; the limit is two days'];
        yield 'too many' => [implode('; ', array_map(static fn (int $i): string => "$i 3", range(0, 60))), '61 values'];
    }
}
