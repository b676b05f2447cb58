<?php

declare(strict_types=1);

namespace Tests\Core\Exchange;

use Metrum\Data\Refused;
use Metrum\Exchange\TimeFormat;
use Metrum\Exchange\TrendColumn;
use Metrum\Exchange\TrendFile;
use Metrum\Exchange\TrendReader;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Atmosphere;
use Metrum\Quantity\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A controller's export, however it separates, counts and writes its times. */
final class TrendReaderTest extends TestCase
{
    /** @return iterable<string, array{string}> the same table written differently */
    public static function tables(): iterable
    {
        yield 'commas' => ["Time,Suction,Air\n2026-11-30 06:00,2.8,3.1\n2026-11-30 06:05,2.9,3.2\n"];
        yield 'semicolons and decimal commas' => [
            "Time;Suction;Air\r\n2026-11-30 06:00;2,8;3,1\r\n2026-11-30 06:05;2,9;3,2",
        ];
        yield 'tabs, quoted, with a mark' => [
            "\u{FEFF}Time\tSuction\tAir\n\"2026-11-30 06:00\"\t2.8\t3.1\n2026-11-30 06:05\t2.9\t3.2",
        ];
    }

    #[DataProvider('tables')]
    public function test_a_table_is_read_however_it_is_separated(string $text): void
    {
        [$trends, $withoutTime, $wrong] = self::read($text, [
            new TrendColumn(1, Reading::SuctionHeader, PartId::plant(), Unit::Bar),
            new TrendColumn(2, Reading::BoxTemperature, PartId::circuit(3), Unit::Celsius),
        ]);

        self::assertSame([0, 0], [$withoutTime, $wrong]);
        self::assertEqualsWithDelta(2.8e5, $trends[0]->points[0][1], 1e-6);
        self::assertEqualsWithDelta(276.35, $trends[1]->points[1][1], 1e-6);
        self::assertSame('circuit 3', $trends[1]->part->value);
        self::assertSame(300.0, $trends[0]->ends() - $trends[0]->begins());
    }

    public function test_what_is_no_number_or_impossible_is_counted_and_left_out(): void
    {
        $text = "Time,Air\n2026-11-30 06:00,3.1\n2026-11-30 06:05,fault\n2026-11-30 06:10,\n".
            "yesterday,3\n2026-11-30 06:15,900\n";
        [$trends, $withoutTime, $wrong] = self::read($text, [
            new TrendColumn(1, Reading::BoxTemperature, PartId::circuit(), Unit::Celsius),
        ]);

        self::assertCount(1, $trends[0]->points);
        self::assertSame([1, 2], [$withoutTime, $wrong]);
    }

    public function test_what_is_no_table_is_refused_with_why(): void
    {
        foreach (['' => 'got 0 lines', "just words\n1" => '1 columns'] as $text => $why) {
            try {
                TrendFile::read($text);
                self::fail('read '.$text);
            } catch (Refused $refused) {
                self::assertStringContainsString($why, $refused->reasons[0]);
            }
        }
        $this->expectException(Refused::class);
        self::read("Time,Air\n30.11.2026 06:00,3\n", []);
    }

    /** @return iterable<string, array{string, TimeFormat, string}> */
    public static function times(): iterable
    {
        yield 'year first' => ['2026-11-30 06:05', TimeFormat::YearFirst, '2026-11-30T06:05:00+00:00'];
        yield 'with T and zone' => ['2026-11-30T06:05:30+02:00', TimeFormat::YearFirst, '2026-11-30T04:05:30+00:00'];
        yield 'day first' => ['30.11.26 6:05', TimeFormat::DayFirst, '2026-11-30T06:05:00+00:00'];
        yield 'month first' => ['11/30/2026 06:05', TimeFormat::MonthFirst, '2026-11-30T06:05:00+00:00'];
        yield 'seconds' => ['1764482700', TimeFormat::Seconds, '2025-11-30T06:05:00+00:00'];
    }

    #[DataProvider('times')]
    public function test_times_are_read_in_their_format(string $typed, TimeFormat $format, string $moment): void
    {
        $zone = new \DateTimeZone('UTC');
        $at = $format->read($typed, $zone);

        self::assertSame($moment, (new \DateTimeImmutable('@'.(int) $at))->format('c'));
        self::assertContains($format, TimeFormat::fitting([$typed], $zone));
    }

    public function test_what_fits_two_formats_is_asked(): void
    {
        $zone = new \DateTimeZone('UTC');
        self::assertSame(
            [TimeFormat::DayFirst, TimeFormat::MonthFirst],
            TimeFormat::fitting(['05/06/2026 10:00', '06/06/2026 10:00'], $zone),
        );
        self::assertSame(
            [TimeFormat::MonthFirst],
            TimeFormat::fitting(['05/06/2026 10:00', '06/13/2026 10:00'], $zone),
        );
        self::assertNull(TimeFormat::YearFirst->read('2026-02-30 10:00', $zone), 'no such day');
    }

    /**
     * @param  list<TrendColumn>  $columns
     * @return array{list<\Metrum\Findings\Trend>, int, int}
     */
    private static function read(string $text, array $columns): array
    {
        $reader = new TrendReader(TrendFile::read($text), new \DateTimeZone('UTC'), Atmosphere::atAltitude(0));

        return $reader->trends(0, TimeFormat::YearFirst, $columns);
    }
}
