<?php

declare(strict_types=1);

namespace Tests\Core\Work;

use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Installation\Circuit;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Work\Charging\ChargeRow;
use Metrum\Work\Charging\Knee;
use Metrum\Work\Charging\Lines;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Where superheat stops falling and subcooling begins to rise. */
final class KneeTest extends TestCase
{
    /** @return iterable<string, array{float, int}> */
    public static function knees(): iterable
    {
        foreach ([0.15, 0.2, 0.25, 0.3] as $at) {
            foreach ([8, 10, 14] as $rows) {
                yield sprintf('at %.2f in %d rows', $at, $rows) => [$at, $rows];
            }
        }
    }

    #[DataProvider('knees')]
    public function test_a_plain_knee_is_found_where_it_is(float $at, int $rows): void
    {
        $knee = Knee::in(self::series($at, $rows));

        self::assertNotNull($knee);
        self::assertEqualsWithDelta($at, $knee->added, 0.02);
        self::assertEqualsWithDelta($at / (0.5 / ($rows - 1)), $knee->row, 1.0);
    }

    #[DataProvider('knees')]
    public function test_instruments_that_err_move_it_by_a_step_at_most(float $at, int $rows): void
    {
        for ($seed = 1; $seed <= 6; $seed++) {
            $knee = Knee::in(self::series($at, $rows, 0.25, $seed));
            self::assertNotNull($knee, "seed $seed");
            self::assertEqualsWithDelta($at, $knee->added, 0.5 / ($rows - 1) + 0.03, "seed $seed");
        }
    }

    public function test_superheat_that_rises_first_hides_no_knee(): void
    {
        $series = [
            [0.0, 9.0, 0.0],
            [0.05, 11.0, 0.0],
            [0.1, 8.0, 0.1],
            [0.15, 6.0, 0.2],
            [0.2, 5.6, 1.8],
            [0.25, 5.5, 3.4],
            [0.3, 5.5, 5.0],
        ];
        $rows = array_map(static fn (array $one): ChargeRow => self::row(...$one), $series);

        self::assertEqualsWithDelta(0.15, (float) Knee::in($rows)?->added, 0.03);
    }

    public function test_the_order_in_which_rows_come_does_not_matter(): void
    {
        $rows = self::series(0.25, 10);
        $forward = Knee::in($rows);
        $backward = Knee::in(array_reverse($rows));

        self::assertNotNull($forward);
        self::assertNotNull($backward);
        self::assertEqualsWithDelta($forward->added, $backward->added, 1e-9);
    }

    /** @return iterable<string, array{list<array{float, float, float}>}> */
    public static function none(): iterable
    {
        yield 'nothing' => [[]];
        yield 'nothing was added' => [[[0.0, 5, 1], [0.0, 5, 1], [0.0, 5, 1], [0.0, 5, 1], [0.0, 5, 1]]];
        yield 'superheat only falls' => [[[0, 15, 0], [0.1, 13, 0], [0.2, 11, 0], [0.3, 9, 0], [0.4, 7, 0]]];
        yield 'a receiver that takes it all' => [[[0, 5, 3], [0.1, 5, 3], [0.2, 5, 3], [0.3, 5, 3], [0.4, 5, 3]]];
        yield 'liquid that comes back' => [[[0, 9, 0], [0.1, 8, 1], [0.2, 4, 3], [0.3, 0, 5], [0.4, -4, 7]]];
    }

    /** @param  list<array{float, float, float}>  $series */
    #[DataProvider('none')]
    public function test_what_is_no_knee_is_called_none(array $series): void
    {
        $rows = array_map(static fn (array $one): ChargeRow => self::row(...$one), $series);

        self::assertNull(Knee::in($rows));
    }

    /** @return iterable<string, array{list<array{float, float, float}>, int}> */
    public static function beyond(): iterable
    {
        yield 'superheat stands from the first row' => [
            [[0.0, 5.0, 0.0], [0.1, 5.0, 2.0], [0.2, 5.0, 4.0], [0.3, 5.0, 6.0], [0.4, 5.0, 8.0]],
            0,
        ];
        yield 'a condenser that fills up later is no second knee' => [
            [
                [0.0, 5.2, 2.2],
                [0.1, 5.1, 2.8],
                [0.2, 5.0, 3.7],
                [0.3, 5.0, 4.5],
                [0.4, 4.8, 5.8],
                [0.5, 4.6, 7.9],
                [0.6, 4.5, 11.9],
                [0.7, 4.4, 17.5],
            ],
            0,
        ];
        yield 'superheat comes to rest only while subcooling rises already' => [
            [
                [0.0, 11.4, -0.1],
                [0.1, 9.6, 0.7],
                [0.2, 8.4, 2.3],
                [0.3, 6.8, 4.1],
                [0.4, 5.2, 5.8],
                [0.5, 4.9, 7.2],
                [0.6, 4.9, 8.5],
            ],
            4,
        ];
    }

    /** @param  list<array{float, float, float}>  $series */
    #[DataProvider('beyond')]
    public function test_a_log_that_shows_no_two_lines_is_read_by_the_plain_rule(array $series, int $row): void
    {
        $knee = Knee::in(array_map(static fn (array $one): ChargeRow => self::row(...$one), $series));

        self::assertNotNull($knee);
        self::assertEqualsWithDelta($row, $knee->row, 1.0);
        self::assertEqualsWithDelta($series[$row][0], $knee->added, 0.1);
    }

    public function test_two_lines_that_meet_are_found_again(): void
    {
        // y = 3 − 2·(x before) + 5·(x behind).
        $x = [-3.0, -2.0, -1.0, 0.0, 1.0, 2.0];
        $before = array_map(static fn (float $one): float => min(0.0, $one), $x);
        $behind = array_map(static fn (float $one): float => max(0.0, $one), $x);
        $values = array_map(static fn (float $one): float => 3 + ($one < 0 ? -2 : 5) * $one, $x);
        [$missed, $slopes] = Lines::fitted($before, $behind, $values);

        self::assertEqualsWithDelta(0.0, $missed, 1e-6);
        self::assertEqualsWithDelta(-2.0, $slopes[0], 1e-6);
        self::assertEqualsWithDelta(5.0, $slopes[1], 1e-6);
    }

    /** @return list<ChargeRow> superheat that falls to a charge and subcooling that rises from it */
    private static function series(float $at, int $rows, float $error = 0.0, int $seed = 1): array
    {
        $random = new Randomizer(new Mt19937($seed));
        $off = static fn (): float => $error * ($random->getInt(0, 2000) / 1000 - 1);
        $series = [];
        for ($i = 0; $i < $rows; $i++) {
            $added = (0.5 * $i) / ($rows - 1);
            $superheat = 5.5 + 30 * max(0.0, $at - $added) + $off();
            $subcooling = 32 * max(0.0, $added - $at) + $off();
            $series[] = self::row($added, $superheat, $subcooling);
        }

        return $series;
    }

    /** R-134a: dew of 236.9 kPa absolute is −5.7 °C, bubble of 968 kPa 38.2 °C. */
    private static function row(float $added, float $superheat, float $subcooling): ChargeRow
    {
        $words = ['kind' => 'reach_in_cooler', 'refrigerant' => 'R-134a', 'receiver' => false];
        $circuit = Circuit::fromWords($words, []);
        $fluid = $circuit->fluid();
        $findings = new Findings($circuit, readings: [
            Reading::SuctionPressure->value => 236_900.0 - 101_325.0,
            Reading::SuctionTemperatureEvaporator->value => $fluid->dewTemperature(236_900.0) + $superheat,
            Reading::DischargePressure->value => 968_000.0 - 101_325.0,
            Reading::CondenserOutletTemperature->value => $fluid->bubbleTemperature(968_000.0) - $subcooling,
        ]);

        return new ChargeRow(1, $added, 0.0, Figures::of($findings, new HouseRules()), null, null);
    }
}
