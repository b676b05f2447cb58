<?php

declare(strict_types=1);

namespace Tests\Core\Refrigerant;

use Eris\Generators;
use Eris\TestTrait;
use Metrum\Refrigerant\Library;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Refrigerant\UnknownRefrigerant;
use Metrum\Refrigerant\Vapour;
use Metrum\Refrigerant\VapourGrid;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class VapourTest extends TestCase
{
    use TestTrait;

    /** @return iterable<string, array{string}> */
    public static function names(): iterable
    {
        foreach (Library::known()->names() as $name) {
            yield $name => [$name];
        }
    }

    /** Every second dew row is taken away: at twice the spacing a four-point interpolation errs sixteen times more. */
    #[DataProvider('names')]
    public function test_rows_left_out_come_back_from_their_neighbours(string $name): void
    {
        $rows = self::rows($name);
        $dews = array_values(array_unique(array_column($rows, 0)));
        $place = array_flip(array_map(strval(...), $dews));
        $coarse = new Vapour(
            $name,
            VapourGrid::parts(
                array_values(
                    array_filter($rows, static fn (array $row): bool => $place[(string) $row[0]] % 2 === 0),
                ),
            ),
        );
        $highest = Library::known()->get($name)->saturation->highest - 273.15;
        foreach ($rows as [$dew, $superheat, , $density, $enthalpy, $entropy]) {
            // Inside the coarse grid only, and well below the critical point, where the tables themselves are bridged.
            $i = $place[(string) $dew];
            if ($i % 2 === 0 || $i < 3 || $dew > $highest - 20 || $i > count($dews) - 6) {
                continue;
            }
            self::assertEqualsWithDelta(
                $enthalpy * 1e3,
                $coarse->at(Vapour::ENTHALPY, $dew + 273.15, $superheat),
                16 * 150.0,
                "$name $dew $superheat",
            );
            self::assertEqualsWithDelta(
                $entropy * 1e3,
                $coarse->at(Vapour::ENTROPY, $dew + 273.15, $superheat),
                16 * 0.3,
            );
            self::assertEqualsWithDelta(
                1.0,
                $coarse->at(Vapour::DENSITY, $dew + 273.15, $superheat) / $density,
                16 * 5e-4,
            );
        }
    }

    /** Along a line of constant pressure dh = T ds. */
    public function test_enthalpy_and_entropy_agree(): void
    {
        $this->limitTo(80)
            ->forAll(
                Generators::choose(-4000, 4500),
                Generators::choose(10, 1180),
                Generators::elements(Library::known()->names()),
            )
            ->then(function (int $hundredths, int $tenths, string $name): void {
                $fluid = Library::known()->get($name);
                $dew = 273.15 + $hundredths / 100;
                if ($dew > $fluid->saturation->highest - 15 || $dew < $fluid->saturation->lowest + 2) {
                    return;
                }
                $superheat = $tenths / 10;
                $step = 0.4;
                $heat =
                    $fluid->vapourEnthalpy($dew, $superheat + $step) -
                    $fluid->vapourEnthalpy($dew, $superheat - $step);
                $order =
                    $fluid->vapourEntropy($dew, $superheat + $step) -
                    $fluid->vapourEntropy($dew, $superheat - $step);
                self::assertEqualsWithDelta(
                    $dew + $superheat,
                    $heat / $order,
                    0.02 * ($dew + $superheat),
                    "$name $dew $superheat",
                );
            });
    }

    public function test_superheat_zero_is_saturated_vapour(): void
    {
        foreach (['R-134a', 'R-448A', 'R-290'] as $name) {
            $fluid = Library::known()->get($name);
            self::assertEqualsWithDelta(
                $fluid->vapourEnthalpy(263.15),
                $fluid->vapourEnthalpy(263.15, 1e-9),
                2.0,
            );
            self::assertEqualsWithDelta(
                $fluid->vapourDensity(263.15),
                $fluid->vapourDensity(263.15, 1e-9),
                1e-3,
            );
        }
    }

    /**
     * Discharge at −30/40 °C (both dew) with 15 K of superheat and 70 % isentropic efficiency, before any loss in the
     * line.
     *
     * @return iterable<string, array{string, float}> °C by the trade's reference figures
     */
    public static function discharges(): iterable
    {
        yield 'R-404A' => ['R-404A', 80.0];
        yield 'R-134a' => ['R-134a', 88.0];
        yield 'R-290' => ['R-290', 88.0];
        yield 'R-407C' => ['R-407C', 106.0];
        yield 'R-410A' => ['R-410A', 117.0];
        yield 'R-22' => ['R-22', 126.0];
    }

    #[DataProvider('discharges')]
    public function test_real_compression_ends_where_the_trade_knows_it_to(string $name, float $celsius): void
    {
        $fluid = Library::known()->get($name);
        $dew = 243.15;
        $head = $fluid->dewPressure(313.15);
        $work = $fluid->isentropicDischarge($dew, 15.0, $head)['work'] / 0.7;
        $hot = $fluid->vapourTemperature($head, $fluid->vapourEnthalpy($dew, 15.0) + $work);
        self::assertEqualsWithDelta($celsius, $hot - 273.15, 2.5);
    }

    public function test_loss_free_compression_keeps_its_entropy(): void
    {
        $this->limitTo(60)
            ->forAll(
                Generators::choose(-3500, 500),
                Generators::choose(0, 400),
                Generators::choose(2500, 5000),
                Generators::elements('R-134a', 'R-448A', 'R-404A', 'R-290', 'R-407C'),
            )
            ->then(function (int $from, int $tenths, int $to, string $name): void {
                $fluid = Library::known()->get($name);
                $dew = 273.15 + $from / 100;
                $head = $fluid->dewPressure(273.15 + $to / 100);
                $end = $fluid->isentropicDischarge($dew, $tenths / 10, $head);
                $condensing = $fluid->dewTemperature($head);
                if ($end['temperature'] > $condensing) {
                    self::assertEqualsWithDelta(
                        $fluid->vapourEntropy($dew, $tenths / 10),
                        $fluid->vapourEntropy($condensing, $end['temperature'] - $condensing),
                        0.05,
                    );
                }
                self::assertGreaterThan(0.0, $end['work']);
                self::assertEqualsWithDelta(
                    $end['temperature'],
                    $fluid->vapourTemperature($head, $fluid->vapourEnthalpy($dew, $tenths / 10) + $end['work']),
                    $end['temperature'] > $condensing ? 0.01 : $fluid->glide($head) + 0.01,
                );
            });
    }

    public function test_gas_that_ends_wet_is_told_by_its_quality(): void
    {
        // R-600a and other heavy molecules condense while they are compressed from little superheat.
        $fluid = Library::known()->get('R-600a');
        $head = $fluid->dewPressure(328.15);
        $end = $fluid->isentropicDischarge(253.15, 0.0, $head);
        self::assertEqualsWithDelta(328.15, $end['temperature'], 0.5);
    }

    public function test_outside_the_grid_is_a_named_refusal(): void
    {
        $fluid = Library::known()->get('R-448A');
        foreach (
            [
                static fn (): float => $fluid->vapourEnthalpy(263.15, 130.0),
                static fn (): float => $fluid->vapourEnthalpy(263.15, -5.0),
                static fn (): float => $fluid->vapourEnthalpy(120.0, 5.0),
            ] as $question
        ) {
            try {
                $question();
                self::fail('answered outside its grid');
            } catch (OutsideTable $outside) {
                self::assertStringContainsString('is outside the property table', $outside->getMessage());
            }
        }
    }

    public function test_an_unknown_refrigerant_is_answered_with_the_known_ones(): void
    {
        $this->expectException(UnknownRefrigerant::class);
        $this->expectExceptionMessage('"R-9000" is not available. Known: R-12, R-22');
        Library::known()->get('R-9000');
    }

    public function test_the_library_holds_twenty_eight_with_their_safety_class(): void
    {
        $library = Library::known();
        self::assertCount(28, $library->names());
        self::assertSame('A3', $library->safetyClass('R-290'));
        self::assertSame('A2L', $library->safetyClass('R-454C'));
        self::assertSame('A1', $library->get('R-448A')->safetyClass);
        self::assertEqualsWithDelta(100.0, array_sum($library->get('R-448A')->composition), 0.5);
    }

    /** @return list<list<float>> */
    private static function rows(string $name): array
    {
        $file =
            dirname(__DIR__, 3).
            '/data/refrigerants/'.
            strtolower(str_replace(['(', ')'], '', $name)).
            '.vapour.csv';

        return array_map(
            static fn (string $line): array => array_map(floatval(...), explode(',', $line)),
            array_slice((array) file($file, FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES), 1),
        );
    }
}
