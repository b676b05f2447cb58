<?php

declare(strict_types=1);

namespace Tests\Core;

use Metrum\Exchange\RackReader;
use Metrum\Findings\RackFindings;
use Metrum\Twin\Rack\MoistAir;
use Metrum\Twin\Rack\Store;

/** Short ways to say a visit to a rack in tests, in the words of the visit file. */
final class Racks
{
    /** A medium temperature rack of five circuits in summer: three behind regulators, one room, one by the header. */
    public const PLANT = [
        'format' => 'metrum-visit',
        'version' => 1,
        'system' => [
            'kind' => 'rack_circuit_medium',
            'refrigerant' => 'R-448A',
            'condenser' => 'air_outdoor',
            'head_pressure_control' => 'fan_cycling',
            'receiver' => true,
        ],
        'design' => [
            'condenser_split_k' => 10,
            'receiver_volume_l' => 38,
            'condenser_volume_l' => 9,
            'suction_saturated_c' => -8,
            'level_reference_percent' => 50,
            'level_reference_ambient_c' => 24,
            'reclaim_volume_l' => 3,
            'liquid_lines_volume_l' => 18,
        ],
        'compressors' => [
            ['name' => 'C1', 'design' => ['capacity_kw' => 8, 'rated_current_a' => 8.4]],
            ['name' => 'C2', 'design' => ['capacity_kw' => 8, 'rated_current_a' => 8.4]],
            ['name' => 'C3', 'design' => ['capacity_kw' => 8, 'rated_current_a' => 8.4]],
        ],
    ];

    /** What its circuits share reads in health. */
    public const HEALTHY = [
        'suction_header_kpa' => 284,
        'suction_set_kpa' => 284,
        'ambient_temperature_c' => 25,
        'compressors_running' => 2,
        'compressors_fitted' => 3,
        'condenser_fans_running' => 4,
        'condenser_fans_fitted' => 4,
        'store_temperature_c' => 22,
        'store_humidity_percent' => 50,
    ];

    /** By name: kind of control, set point °C, cases and their form, kW of all. */
    private const CIRCUITS = [
        'Dairy' => ['pressure_regulator', 3, ['Dairy 1', 'Dairy 2', 'Dairy 3'], 'open_multideck', 7.8],
        'Deli' => ['pressure_regulator', 4, ['Deli 1', 'Deli 2'], 'service', 3.2],
        'Produce' => ['pressure_regulator', 5, ['Produce 1'], 'open_multideck', 2.8],
        'Fish' => ['header', 0, ['Fish 1'], 'service', 2.0],
        'Room' => ['thermostat', 2, [], '', 4.0],
    ];

    /**
     * @param  array<string, float|int|null>  $readings  of what circuits share; null takes one away
     * @param  array<string, string>  $observations
     * @param  array<string, array<string, mixed>>  $circuits  by name: what its row has besides
     * @param  array<string, array<string, mixed>>  $cases  by name
     * @param  array<string, array<string, mixed>>  $compressors  by name
     */
    public static function of(
        array $readings = [],
        array $observations = [],
        array $circuits = [],
        array $cases = [],
        array $compressors = [],
    ): RackFindings {
        return self::read(self::file($readings, $observations, $circuits, $cases, $compressors));
    }

    /** @param  array<string, mixed>  $file */
    public static function read(array $file): RackFindings
    {
        $read = json_decode(json_encode($file, JSON_THROW_ON_ERROR), false);
        assert($read instanceof \stdClass);

        return RackReader::visit($read);
    }

    /**
     * @param  array<string, float|int|null>  $readings
     * @param  array<string, string>  $observations
     * @param  array<string, array<string, mixed>>  $circuits
     * @param  array<string, array<string, mixed>>  $cases
     * @param  array<string, array<string, mixed>>  $compressors
     * @return array<string, mixed>
     */
    public static function file(
        array $readings = [],
        array $observations = [],
        array $circuits = [],
        array $cases = [],
        array $compressors = [],
    ): array {
        $rows = [];
        foreach (self::CIRCUITS as $name => [$control, $set, $own, $form, $capacity]) {
            $row = self::circuit($name, $control, $set, $capacity);
            foreach ($own as $case) {
                $row['cases'][] = ['name' => $case, 'form' => $form] + ($cases[$case] ?? []);
            }
            $rows[] = ($circuits[$name] ?? []) + $row;
        }
        $file = self::PLANT;
        $file['compressors'] = array_map(
            static fn (array $one): array => $one + ($compressors[$one['name']] ?? []),
            self::PLANT['compressors'],
        );

        return $file + [
            'readings' => array_filter(
                $readings + self::HEALTHY,
                static fn (float|int|null $one): bool => $one !== null,
            ),
            'observations' => (object) $observations,
            'circuits' => $rows,
        ];
    }

    /** The air of a store and the weather around it, °C and %. */
    public static function store(float $ambient, float $temperature = 22.0, float $humidity = 50.0): Store
    {
        return new Store(273.15 + $ambient, new MoistAir(273.15 + $temperature, $humidity / 100, 101325.0));
    }

    /** @return array<string, mixed> */
    private static function circuit(string $name, string $control, float $set, float $capacity): array
    {
        return [
            'name' => $name,
            'system' => [
                'kind' => $name === 'Room' ? 'walk_in_cooler' : 'case_medium',
                'metering' => 'txv',
                'evaporator_pressure_regulator' => $control === 'pressure_regulator',
                'box_control' => $control,
                'defrost' => $name === 'Fish' ? 'hot_gas' : 'off_cycle',
            ],
            'design' => [
                'box_set_point_c' => $set,
                'evaporator_td_k' => 6,
                'superheat_k' => 5,
                'capacity_kw' => $capacity,
            ],
            'state' => 'running_settled',
        ];
    }
}
