<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Metrum\Diagnosis\Contradiction;
use Metrum\Diagnosis\Diagnosis;
use Metrum\Quantity\Units;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Visits;

/** Readings that cannot be true, or not together, are named with which to take again. */
final class ContradictionsTest extends TestCase
{
    /**
     * Readings, more, a piece of the sentence, what to repeat first.
     *
     * @return iterable<string, array{array<string, float|int|null>, array<string, mixed>, string, string}>
     */
    public static function impossible(): iterable
    {
        yield 'superheat above what the air can give' => [
            ['suction_temperature_evaporator_c' => 9.0],
            [],
            'gas cannot leave the coil warmer than the air entering it',
            'suction_temperature_evaporator_c',
        ];
        yield 'superheat below the glide' => [
            ['suction_temperature_evaporator_c' => -16.0],
            [],
            'is below the range of R-448A',
            'suction_temperature_evaporator_c',
        ];
        yield 'discharge pipe typed for the liquid pipe' => [
            ['condenser_outlet_temperature_c' => 68],
            [],
            'is the clamp on the discharge line?',
            'condenser_outlet_temperature_c',
        ];
        yield 'liquid colder than the air that cools it' => [
            ['condenser_outlet_temperature_c' => 18, 'receiver_outlet_temperature_c' => 18],
            [],
            'colder than the air entering it',
            'condenser_outlet_temperature_c',
        ];
        yield 'condensing colder than the air' => [
            ['ambient_temperature_c' => 48],
            [],
            'colder than air entering the condenser',
            'ambient_temperature_c',
        ];
        yield 'coil warmer than the box' => [
            ['suction_pressure_kpa' => 640],
            [],
            'A running coil is colder than its air',
            'suction_pressure_kpa',
        ];
        yield 'not pumping while said to run' => [
            ['discharge_pressure_kpa' => 350],
            [],
            'Discharge pressure is not above suction',
            'discharge_pressure_kpa',
        ];
        yield 'drier warms the liquid' => [
            ['drier_inlet_temperature_c' => 28, 'drier_outlet_temperature_c' => 31],
            [],
            'clamps swapped',
            'drier_inlet_temperature_c',
        ];
        yield 'air warmed by the coil' => [
            ['supply_air_temperature_c' => 6],
            [],
            'warmer than it enters',
            'supply_air_temperature_c',
        ];
        yield 'air colder than the coil' => [
            ['supply_air_temperature_c' => -16],
            [],
            'colder than the coil itself',
            'supply_air_temperature_c',
        ];
        yield 'discharge pipe below condensing' => [
            ['discharge_temperature_c' => 26],
            [],
            'below condensing',
            'discharge_temperature_c',
        ];
        yield 'hot gas out of a receiver without a seal' => [
            ['receiver_outlet_temperature_c' => 60],
            ['system' => ['receiver' => true, 'head_pressure_control' => 'flooding_valve'] + Visits::COOLER['system']],
            'Hot gas passes a receiver without liquid seal',
            'receiver_outlet_temperature_c',
        ];
        yield 'receiver above discharge' => [
            ['receiver_pressure_kpa' => 1800],
            [],
            'Receiver pressure is above discharge pressure by 2.50 bar',
            'receiver_pressure_kpa',
        ];
        yield 'suction above the coil' => [
            ['evaporator_pressure_kpa' => 250],
            [],
            'Suction pressure is above coil pressure',
            'suction_pressure_kpa',
        ];
        yield 'more fans run than are fitted' => [
            ['fans_running' => 4, 'fans_fitted' => 3],
            [],
            'More coil fans run',
            'fans_fitted',
        ];
        yield 'all fans seen, fewer counted' => [
            ['fans_running' => 2, 'fans_fitted' => 3],
            ['observations' => ['evaporator_fans' => 'all_running']],
            'only 2 of 3',
            'fans_running',
        ];
        yield 'running without current' => [
            ['compressor_current_a' => 0],
            ['observations' => ['compressor' => 'running']],
            'draws no current',
            'compressor_current_a',
        ];
        yield 'pressure outside the table' => [
            ['discharge_pressure_kpa' => 9000],
            [],
            'Discharge pressure, unit or refrigerant is wrong',
            'discharge_pressure_kpa',
        ];
    }

    /**
     * @param  array<string, float|int|null>  $readings
     * @param  array<string, mixed>  $more
     */
    #[DataProvider('impossible')]
    public function test_it_is_named_with_what_to_repeat(
        array $readings,
        array $more,
        string $said,
        string $repeat,
    ): void {
        $found = (new Diagnosis())->of(Visits::cooler($readings, $more), checks: 0)->contradictions;
        $sentences = array_map(static fn (Contradiction $one): string => $one->sentence()->in(new Units()), $found);
        $matching = array_values(
            array_filter(
                $found,
                static fn (Contradiction $one): bool => str_contains($one->sentence()->in(new Units()), $said),
            ),
        );
        self::assertCount(1, $matching, implode(' | ', $sentences));
        self::assertSame($repeat, $matching[0]->repeat[0]->value);
        self::assertStringContainsString('Re-read', $matching[0]->sentence()->in(new Units()));
    }

    /**
     * Readings of the cooler and what differs from it: odd, yet a plant can read so.
     *
     * @return iterable<string, array{array<string, float|int|null>, array<string, mixed>}>
     */
    public static function possible(): iterable
    {
        $rack = ['system' => ['kind' => 'rack_circuit_medium'] + Visits::COOLER['system']];
        $starved = ['suction_pressure_kpa' => 210, 'suction_temperature_evaporator_c' => 4.4];
        yield 'two clamps apart over a drier' => [
            ['drier_inlet_temperature_c' => 31.0, 'drier_outlet_temperature_c' => 32.8],
            [],
        ];
        yield 'a starved coil gives gas as warm as its air, by two thermometers' => [
            [...$starved, 'suction_temperature_compressor_c' => 9],
            [],
        ];
        yield 'a rack draws colder gas than a starved circuit gives' => [
            [...$starved, 'suction_temperature_compressor_c' => -4],
            $rack,
        ];
        yield 'a suction line passes air that is colder than it' => [
            [
                'ambient_temperature_c' => -14,
                'discharge_pressure_kpa' => 1250,
                'condenser_outlet_temperature_c' => 20,
                'receiver_outlet_temperature_c' => 20,
                'discharge_temperature_c' => 55,
                'suction_temperature_compressor_c' => -3,
            ],
            [],
        ];
        yield 'a condenser full of liquid' => [
            [
                'discharge_pressure_kpa' => 2500,
                'condenser_outlet_temperature_c' => 26,
                'receiver_outlet_temperature_c' => 26,
                'discharge_temperature_c' => 95,
            ],
            [],
        ];
    }

    /**
     * @param  array<string, float|int|null>  $readings
     * @param  array<string, mixed>  $more
     */
    #[DataProvider('possible')]
    public function test_what_a_plant_can_read_is_not_doubted(array $readings, array $more): void
    {
        $verdict = (new Diagnosis())->of(Visits::cooler($readings, $more), checks: 0);
        self::assertSame([], array_column($verdict->contradictions, 'what'));
        self::assertSame([], $verdict->doubted);
    }

    public function test_the_same_gas_on_a_unit_of_its_own_is_doubted(): void
    {
        $verdict = (new Diagnosis())->of(
            Visits::cooler(['suction_temperature_evaporator_c' => 2, 'suction_temperature_compressor_c' => -4]),
            checks: 0,
        );
        self::assertCount(2, $verdict->doubted);
    }

    public function test_a_healthy_plant_contradicts_nothing(): void
    {
        self::assertSame([], (new Diagnosis())->of(Visits::cooler(), checks: 0)->contradictions);
    }

    public function test_standing_pressure_that_does_not_fit_names_what_would(): void
    {
        // R-134a stands at about 572 kPa abs at 20 °C; R-404A there would stand near 1 100.
        $found = (new Diagnosis())->of(
            Visits::of([
                'system' => ['refrigerant' => 'R-404A'],
                'state' => 'off',
                'readings' => ['receiver_pressure_kpa' => 470.5, 'ambient_temperature_c' => 20],
            ]),
            checks: 0,
        )->contradictions;
        self::assertCount(1, $found);
        self::assertStringContainsString('Standing pressure does not match R', $found[0]->what->in(new Units()));
        self::assertStringContainsString('R-134a', $found[0]->what->in(new Units()));
        $right = (new Diagnosis())->of(
            Visits::of([
                'system' => ['refrigerant' => 'R-134a'],
                'state' => 'off',
                'readings' => ['receiver_pressure_kpa' => 470.5, 'ambient_temperature_c' => 20],
            ]),
            checks: 0,
        )->contradictions;
        self::assertSame([], $right);
    }
}
