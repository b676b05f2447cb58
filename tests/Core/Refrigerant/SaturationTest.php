<?php

declare(strict_types=1);

namespace Tests\Core\Refrigerant;

use Eris\Generators;
use Eris\TestTrait;
use Metrum\Refrigerant\Library;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Refrigerant\Saturation;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SaturationTest extends TestCase
{
    use TestTrait;

    /**
     * Saturation pressures as reference equations of state publish them.
     *
     * @return iterable<string, array{string, float, float}> name, °C, kPa abs
     */
    public static function published(): iterable
    {
        yield 'R-134a at 0' => ['R-134a', 0.0, 292.8];
        yield 'R-134a at −20' => ['R-134a', -20.0, 132.73];
        yield 'R-134a at 40' => ['R-134a', 40.0, 1016.6];
        yield 'R-22 at 0' => ['R-22', 0.0, 497.99];
        yield 'R-22 at 40' => ['R-22', 40.0, 1533.6];
        yield 'R-290 at 0' => ['R-290', 0.0, 474.46];
        yield 'R-290 at −20' => ['R-290', -20.0, 244.52];
        yield 'R-600a at 0' => ['R-600a', 0.0, 156.96];
        yield 'R-717 at 0' => ['R-717', 0.0, 429.38];
        yield 'R-744 at 0' => ['R-744', 0.0, 3485.1];
        yield 'R-32 at 0' => ['R-32', 0.0, 813.1];
        yield 'R-1234yf at 0' => ['R-1234yf', 0.0, 315.8];
        yield 'R-1270 at 0' => ['R-1270', 0.0, 585.6];
    }

    #[DataProvider('published')]
    public function test_pure_refrigerants_saturate_where_published(
        string $name,
        float $celsius,
        float $kilopascal,
    ): void {
        $fluid = Library::known()->get($name);
        self::assertEqualsWithDelta(
            $kilopascal * 1e3,
            $fluid->dewPressure($celsius + 273.15),
            0.003 * $kilopascal * 1e3,
        );
        self::assertEqualsWithDelta(
            $kilopascal * 1e3,
            $fluid->bubblePressure($celsius + 273.15),
            0.003 * $kilopascal * 1e3,
        );
    }

    /** @return iterable<string, array{string}> */
    public static function names(): iterable
    {
        foreach (Library::known()->names() as $name) {
            yield $name => [$name];
        }
    }

    #[DataProvider('names')]
    public function test_temperature_to_pressure_and_back_is_the_same(string $name): void
    {
        $fluid = Library::known()->get($name);
        $span = $fluid->saturation->highest - $fluid->saturation->lowest;
        $this->limitTo(60)
            ->forAll(Generators::choose(0, 100000))
            ->then(function (int $part) use ($fluid, $span): void {
                $t = $fluid->saturation->lowest + ($span * $part) / 100000;
                self::assertEqualsWithDelta($t, $fluid->dewTemperature($fluid->dewPressure($t)), 1e-6);
                self::assertEqualsWithDelta($t, $fluid->bubbleTemperature($fluid->bubblePressure($t)), 1e-6);
            });
    }

    public function test_a_pressure_made_warmer_saturates_so_much_higher(): void
    {
        $fluid = Library::known()->get('R-448A');
        $pressure = $fluid->dewPressure(263.15);
        foreach ([-4.0, 0.0, 2.5] as $kelvin) {
            $dew = $fluid->dewTemperature($fluid->warmer($pressure, $kelvin));
            self::assertEqualsWithDelta(263.15 + $kelvin, $dew, 1e-6);
        }
    }

    /**
     * Every second row is taken away and must come back from its neighbours, two kelvin apart. At the table's own
     * spacing of one kelvin a four-point interpolation errs sixteen times less, so the bars here are sixteen times
     * those wanted (0.01 K, 0.05 %, and 0.15 kJ/kg for the vapour).
     */
    #[DataProvider('names')]
    public function test_rows_left_out_come_back_from_their_neighbours(string $name): void
    {
        $all = Library::known()->get($name)->saturation;
        $rows = self::rows($name);
        $kept = array_values(
            array_filter($rows, static fn (int $i): bool => $i % 2 === 0, ARRAY_FILTER_USE_KEY),
        );
        $stretched = array_map(
            static fn (array $row, int $i): array => [(float) $i, ...array_slice($row, 1)],
            $kept,
            array_keys($kept),
        );
        $coarse = new Saturation($name, Saturation::parts($stretched));
        $worst = ['temperature' => 0.0, 'enthalpy' => 0.0];
        // The last few kelvin below the critical point are bridged in the tables themselves.
        for ($i = 1; $i < count($rows) - 12; $i += 2) {
            $p = $rows[$i][2] * 1e3;
            $t = $coarse->dewTemperature($p);
            $real = $rows[0][0] + 273.15 + ($t - 273.15) * 2;
            $worst['temperature'] = max($worst['temperature'], abs($real - ($rows[$i][0] + 273.15)));
            $worst['enthalpy'] = max(
                $worst['enthalpy'],
                abs($coarse->at(Saturation::VAPOUR_ENTHALPY, 273.15 + $i / 2) - $rows[$i][6] * 1e3),
            );
        }
        self::assertLessThan(16 * 0.01, $worst['temperature'], $name.': K');
        self::assertLessThan(16 * 150.0, $worst['enthalpy'], $name.': J/kg');
        self::assertSame($rows[0][0] + 273.15, $all->lowest);
    }

    #[DataProvider('names')]
    public function test_pressure_rises_with_temperature_and_dew_lies_above_bubble(string $name): void
    {
        $fluid = Library::known()->get($name);
        $before = 0.0;
        for ($t = $fluid->saturation->lowest; $t <= $fluid->saturation->highest - 3; $t += 0.37) {
            $p = $fluid->dewPressure($t);
            self::assertGreaterThan($before, $p);
            self::assertGreaterThanOrEqual($p * (1 - 2e-4), $fluid->bubblePressure($t));
            $before = $p;
        }
    }

    /** Clapeyron: dp/dT = (h″ − h′) ÷ (T (v″ − v′)): pressure, density and enthalpy come from different columns. */
    public function test_pure_refrigerants_obey_clapeyron(): void
    {
        foreach (['R-134a', 'R-22', 'R-290', 'R-600a', 'R-717', 'R-32', 'R-1234yf', 'R-1270'] as $name) {
            $fluid = Library::known()->get($name);
            foreach ([243.15, 258.4, 273.15, 290.7, 310.0] as $t) {
                $slope = ($fluid->dewPressure($t + 0.2) - $fluid->dewPressure($t - 0.2)) / 0.4;
                $latent = $fluid->vapourEnthalpy($t) - $fluid->liquidEnthalpy($t);
                $swell = 1 / $fluid->vapourDensity($t) - 1 / $fluid->liquidDensity($t);
                self::assertEqualsWithDelta(1.0, $latent / ($t * $swell) / $slope, 0.002, $name.' at '.$t);
            }
        }
    }

    /** Liquid and vapour of a pure refrigerant in equilibrium have the same Gibbs energy, h − T s. */
    public function test_pure_refrigerants_have_one_gibbs_energy(): void
    {
        foreach (['R-134a', 'R-22', 'R-290', 'R-717', 'R-744'] as $name) {
            $fluid = Library::known()->get($name);
            foreach ([243.15, 268.3, 293.15] as $t) {
                $liquid = $fluid->liquidEnthalpy($t) - $t * $fluid->liquidEntropy($t);
                $vapour = $fluid->vapourEnthalpy($t) - $t * $fluid->vapourEntropy($t);
                self::assertEqualsWithDelta($liquid, $vapour, 60.0, $name.' at '.$t);
            }
        }
    }

    public function test_glide_is_known_for_what_it_is(): void
    {
        $library = Library::known();
        self::assertFalse($library->get('R-134a')->isZeotropic());
        self::assertFalse($library->get('R-507A')->isZeotropic());
        self::assertTrue($library->get('R-448A')->isZeotropic());
        self::assertTrue($library->get('R-407C')->isZeotropic());
        // R-448A class: about 6 K between bubble and dew at a cooler's suction.
        self::assertEqualsWithDelta(6.0, $library->get('R-448A')->glide(400e3), 0.5);
    }

    public function test_outside_its_table_it_names_the_range(): void
    {
        $fluid = Library::known()->get('R-448A');
        $refusals = 0;
        foreach (
            [
                static fn (): float => $fluid->dewPressure(100.0),
                static fn (): float => $fluid->bubblePressure(500.0),
                static fn (): float => $fluid->dewTemperature(1.0),
                static fn (): float => $fluid->bubbleTemperature(5e8),
                static fn (): float => $fluid->dewTemperature(0.0),
                static fn (): float => $fluid->liquidDensity(600.0),
            ] as $question
        ) {
            try {
                $question();
            } catch (OutsideTable $outside) {
                self::assertMatchesRegularExpression(
                    '/R-448A: .* is outside the property table \(.* to .*\)/',
                    $outside->getMessage(),
                );
                $refusals++;
            }
        }
        self::assertSame(6, $refusals);
    }

    /** @return list<list<float>> */
    private static function rows(string $name): array
    {
        $file =
            dirname(__DIR__, 3).
            '/data/refrigerants/'.
            strtolower(str_replace(['(', ')'], '', $name)).
            '.saturation.csv';

        return array_map(
            static fn (string $line): array => array_map(floatval(...), explode(',', $line)),
            array_slice((array) file($file, FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES), 1),
        );
    }
}
